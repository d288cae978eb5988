# frozen_string_literal: true

module Hobrin
  module Demo
    # The main inquiry of the sample, worked through all six steps by the same services that a
    # person uses.
    class MainInquiry
      TEXT = "In adults in intensive care, do earplugs and an eye mask at night, compared with usual care, " \
             "improve sleep or prevent delirium?"
      SITUATION = "A colleague asks at handover: the new patients in the bay by the desk do not sleep, and two were " \
                  "confused this week. Could we hand out earplugs and eye masks, and would it help?"
      MARKS = [["P", "adults in intensive care"], ["I", "earplugs and an eye mask at night"], ["C", "usual care"],
               ["O", "sleep"], ["O", "delirium"]].freeze
      # A Symbol is a heading, a String is words.
      TERMS = {
        "P" => [:"Intensive Care Units", :"Critically Ill Patients", :"Intensive Care", "intensive care",
                "critically ill", "critical care", "step-down unit*"],
        "I" => [:"Ear Protective Devices", :"Eye Masks", "earplug*", "ear plug*", "eye mask*",
                "eye shade*"],
        "O" => [:Delirium, :"Sleep Quality", :"Sleep Disorders", "deliri*", "confusion", "sleep*"]
      }.freeze
      TYPES = ["systematic review", "meta-analysis", "randomized controlled trial", "controlled trial", "cohort study",
               "guideline"].freeze
      private_constant :TYPES, :TEXT, :SITUATION, :MARKS, :TERMS

      def initialize(context)
        @context = context
      end

      # Begins it. Gives its id.
      def start
        @id = Services::Inquiries::Start.new(@context).call(TEXT, situation: SITUATION, sample: true)
      end

      attr_reader :id

      # What two people made of its papers apart.
      def apart = MainDecisions.new(@context, @id)

      # Works it through to the brief.
      def work
        ask
        word
        narrow
        MainDecisions.new(@context, @id).call
      end

      private

      def ask
        draft = Edits::Ask::Draft.new(situation: SITUATION, text: TEXT, kind: "treatment")
        MARKS.each do |key, words|
          edit(Edits::Ask::WriteQuestion.new(draft:, press: Edits::Ask::Mark.new(key:, words:)))
        end
      end

      def word
        TERMS.each do |block, names|
          names.each do |name|
            kind = name.is_a?(Symbol) ? :heading : :words
            edit(Edits::Additions::AddParts.new(block:, parts: [[kind, name.to_s]]))
          end
        end
        wild = edit(Edits::Additions::AddParts.words("P", "ward*")).opened.inquiry.block("P").terms.last
        edit(Edits::Terms::CrossOut.new(term_id: wild.id, reason: "pulls in everything"))
      end

      def narrow
        [Strategy::Limit.new(name: :age, values: Records::AgeGroups::ADULTS),
         Strategy::Dates.years(from_year: 2016, to_year: 2026),
         Strategy::Limit.new(name: :type, values: TYPES)].each { |leaf| edit(Edits::Limits::Apply.new(leaf:)) }
      end

      def edit(edit) = Services::ApplyEdit.new(@context).call(@id, edit)
    end
  end
end
