# frozen_string_literal: true

module Hobrin
  module Demo
    # The main inquiry of the sample, worked through all six steps by the same services that a person uses.
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
        "I" => [:"Ear Protective Devices", :"Eye Masks", "earplug*", "ear plug*", "eye mask*", "eye shade*"],
        "O" => [:Delirium, :"Sleep Quality", :"Sleep Disorders", "deliri*", "confusion", "sleep*"]
      }.freeze
      TYPES = ["systematic review", "meta-analysis", "randomized controlled trial", "controlled trial", "cohort study",
               "guideline"].freeze
      private_constant :TYPES, :TEXT, :SITUATION, :MARKS, :TERMS

      def initialize(context)
        @context = context
      end

      # Begins it. Gives its id.
      def start = @id = Services::StartInquiry.new(@context).call(TEXT, situation: SITUATION, sample: true)

      # Works it through to the brief.
      def work
        ask
        word
        narrow
        MainDecisions.new(@context, @id).call
      end

      private

      def ask
        service = Services::WriteQuestion.new(@context)
        draft = Services::WriteQuestion::Draft.new(situation: SITUATION, text: TEXT, kind: "treatment", uses: {},
                                                   typed: {})
        MARKS.each { |key, text| service.call(@id, draft) { |question| question.marked(key, text) } }
      end

      def word
        service = Services::AddTerms.new(@context)
        TERMS.each do |key, names|
          names.each do |name|
            name.is_a?(Symbol) ? service.heading(@id, key, name.to_s) : service.words(@id, key, name)
          end
        end
        service.words(@id, "P", "ward*")
        wild = @context.inquiries.find(@id).inquiry.block("P").terms.last
        Services::ChangeTerm.new(@context).cross_out(@id, wild.id, "pulls in everything")
      end

      def narrow
        service = Services::ChangeLimits.new(@context)
        service.put(@id, Strategy::Limit.new(name: :age, values: Records::AgeGroups::ADULTS))
        service.put(@id, Strategy::Dates.years(from_year: 2016, to_year: 2026))
        service.put(@id, Strategy::Limit.new(name: :type, values: TYPES))
      end
    end
  end
end
