# frozen_string_literal: true

require "securerandom"

module Hobrin
  module Demo
    # The sample data, loaded into a home that has none yet: thesaurus, library, and the inquiries.
    class Sample
      def initialize(context)
        @context = context
      end

      # The records as a file. The same text every time.
      def self.csl = Exchange::CslJson::Writer.call(SampleLibrary.new.records)

      # What is about to be done, in words; nil when there is nothing to do.
      def announcement
        return "The sample was not made to its end last time. Going on…" if @context.library.loading

        "Making the sample library…" if @context.library.empty?
      end

      def load
        return unless announcement

        Services::LoadSample.new(@context).call(headings: SampleThesaurus.headings,
                                                records: SampleLibrary.new.each) { inquiries }
      end

      private

      # The main one is the first, and the last one touched; full texts stand with some of its
      # papers.
      def inquiries
        main = MainInquiry.new(@context)
        main.start
        OtherInquiries.new(@context).call
        main.work
        FullTexts.new(@context).call
        Team.new(@context, main).call
      end

      # Three made-up people of one ward: a nurse who owns the inquiries, a second reader and a
      # librarian. Nobody knows their passwords: in the demo one becomes one of them by a press. The
      # nurse and the second reader have read and weighed the main inquiry's papers apart.
      class Team
        WARD = "Ward 4 (made up)"
        PEOPLE = { nurse: ["Maren Vendrillon", "maren", :member],
                   second: ["Oskar Thimmel", "oskar", :member],
                   librarian: ["Ines Quarrel", "ines", :librarian] }.freeze
        private_constant :WARD, :PEOPLE

        # main :: MainInquiry
        def initialize(context, main)
          @context = context
          @main = main
        end

        def call
          return unless @context.directory.accounts.empty?

          ward = @context.directory.wards.named(WARD)
          nurse, second, = PEOPLE.values.map { |person| add(*person, ward) }
          @context.standings.put_unowned(ward_id: ward.id, owner_id: nurse)
          @context.standings.give(@main.id, second, :second)
          read(nurse, second)
          weigh(nurse, second)
        end

        private

        def add(name, login, role, ward)
          Services::Accounts::Add.new(@context).call(name:, login:, role:, ward_id: ward.id,
                                                     password: SecureRandom.urlsafe_base64(24))
        end

        # What holds is what both decided, but where the file says otherwise.
        def read(nurse, second)
          @context.readings.let_read(@main.id, [nurse, second])
          apart = @main.apart.twice
          @context.inquiries.find(@main.id).inquiry.decisions.each do |decision|
            put(nurse, decision)
            put(second, apart.fetch(decision.record_id, [decision]).last)
          end
          apart.each_value do |one, two|
            [[nurse, one], [second, two]].each { |pair| put(*pair) } if two
          end
        end

        # The first one's sheets are those that hold.
        def weigh(nurse, second)
          @context.sheets.let_read(@main.id, [nurse, second])
          apart = @main.apart.weighed_apart
          @context.inquiries.find(@main.id).inquiry.weighing.papers.each do |paper|
            otherwise = apart.fetch(paper.record_id, {})
                             .transform_values { |says| Appraisal::Paper::Answer.new(says:) }
            other = paper.with(answers: paper.answers.merge(otherwise))
            [[nurse, paper], [second, other]].each do |person, sheet|
              @context.sheets.put(@main.id, person, sheet, done: true, at: @context.clock.now)
            end
          end
        end

        def put(person_id, decision)
          @context.readings.put(@main.id, person_id, decision, at: @context.clock.now)
        end
      end
    end
  end
end
