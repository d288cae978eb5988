# frozen_string_literal: true

module Hobrin
  module Tools
    module Benchmarks
      # Looking up headings in a made-up thesaurus of the size to plan for: 30,000 headings, about
      # 250,000 names.
      class Names
        HEADINGS = 30_000
        ALSO_CALLED = 7
        WORDS_IN_DEFINITION = 15
        SYLLABLES = %w[ka lo mi ten ver so ra pul mon ic gas tro en ter neph ro card io vas cu
                       lar].freeze
        TYPED = ["ka", "card", "vaslar", "lomi tenver", "zzzz"].freeze
        private_constant :HEADINGS, :ALSO_CALLED, :WORDS_IN_DEFINITION, :SYLLABLES, :TYPED

        # headings, names :: how many; build_ms :: to make the thesaurus; look_up_ms :: Hash of way
        #   to the slowest of TYPED
        # reading_ms :: to read a line of free typing; question_ms :: to propose the phrases and the
        #   kind of a question
        class Figures < Value
          attributes :headings, :names, :build_ms, :look_up_ms, :reading_ms, :question_ms
        end

        QUESTION = "We have a lady of 84 on the ward who pulls at her drip all night. Would a long sleeve over it or " \
                   "mittens keep the line in without making her more upset by the morning?"
        private_constant :QUESTION

        # learned :: Question::Understanding::Learned
        def initialize(learned:, random: Random.new(1))
          @learned = learned
          @random = random
          @words = Array.new(6_000) { Array.new(random.rand(2..4)) { pick(SYLLABLES) }.join }.uniq
        end

        # Gives Figures.
        def call
          headings = made
          thesaurus = nil
          build_ms = Work::Timing.once { thesaurus = Thesaurus.new(headings, checked: true) }
          look_up_ms = Thesaurus::LookUp::WAYS.to_h do |way|
            [way, TYPED.map { |typed| Work::Timing.median { thesaurus.look_up(typed, way:) } }.max]
          end
          Figures.new(headings: headings.size, names: thesaurus.names.size, build_ms:, look_up_ms:,
                      reading_ms: reading(thesaurus), question_ms: question(thesaurus))
        end

        private

        def made
          labels = []
          labels |= Array.new(HEADINGS) { name.capitalize } while labels.size < HEADINGS
          labels.first(HEADINGS).each_with_index.map do |label, place|
            broader = place < 12 ? [] : [labels[@random.rand((place / 5) + 1)]]
            also_called = Array.new(ALSO_CALLED) { "#{name} #{@random.rand(100_000)}" }
            Thesaurus::Heading.new(label:, broader:, also_called:,
                                   definition: Array.new(WORDS_IN_DEFINITION) { pick(@words) }.join(" "))
          end
        end

        def reading(thesaurus)
          reading = Thesaurus::Reading.new(thesaurus)
          known = [thesaurus.headings[77].label, thesaurus.headings[500].also_called.first]
          text = "the #{known.join(" and ")} in a #{pick(@words)}"
          Work::Timing.median { reading.call(text) }
        end

        def question(thesaurus)
          understanding = Question::Understanding.new(@learned, thesaurus)
          Work::Timing.median { [understanding.proposals(QUESTION), understanding.kind(QUESTION)] }
        end

        def name = Array.new(@random.rand(1..4)) { pick(@words) }.join(" ")
        def pick(list) = list[@random.rand(list.size)]
      end
    end
  end
end
