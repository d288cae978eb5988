# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # The states through which a question is read, word by word. A label says whether a word is
      # outside every element, begins a phrase of one or goes on in it; a state adds which element
      # was named last, since a comparison follows an intervention and seldom comes first. A time
      # is passed over: it does not change what was named last.
      module States
        ELEMENTS = %w[P I C O T].freeze
        # Label 0 is outside; for each element one that begins and one that goes on.
        LABELS = ["-", *ELEMENTS.flat_map { |element| ["#{element}<", "#{element}="] }].freeze
        # What may have been named last: nothing, P, I, C, O.
        LAST = (0..4)
        TIME = ELEMENTS.index("T")
        State = Struct.new(:label, :last)
        # from :: place of the state before, -1 at the beginning; to :: place of the state; number
        #   :: of the weight
        Step = Struct.new(:from, :to, :number)

        class << self
          def begins?(label) = label.odd?

          # The place in ELEMENTS of a label that is not outside.
          def element(label) = (label - 1) / 2

          # The label of an element's first word, or of one further on.
          def label(element, first:) = (element * 2) + (first ? 1 : 2)

          # The place of the state that comes after one, with a label.
          def after(place, label)
            last = place.negative? ? 0 : ALL[place].last
            last = element(label) + 1 unless label.zero? || element(label) == TIME
            PLACES.fetch([label, last])
          end

          private

          def all
            pairs = LAST.map { |last| [0, last] }
            ELEMENTS.each_index do |element|
              [1, 2].each do |by|
                lasts = element == TIME ? LAST : [element + 1]
                lasts.each { |last| pairs << [(element * 2) + by, last] }
              end
            end
            pairs.map { |label, last| State.new(label, last).freeze }
          end

          # A phrase goes on only where it began.
          def allowed?(from, label)
            return true if label.zero? || begins?(label)

            from >= 0 && [label, label - 1].include?(ALL[from].label)
          end

          def steps
            pairs = [-1, *ALL.each_index].flat_map do |from|
              LABELS.each_index.select { |label| allowed?(from, label) }
                    .map { |label| [from, after(from, label)] }
            end
            pairs.each_with_index.map { |(from, to), number| Step.new(from, to, number).freeze }
          end
        end

        ALL = all.freeze
        PLACES = ALL.each_with_index.to_h { |state, place| [[state.label, state.last], place] }.freeze
        STEPS = steps.freeze
        FIRST = STEPS.select { |step| step.from.negative? }.freeze
        # How a state is come to from inside a question, laid out for the loops that run over all
        # ways. label, element :: of the state, the element nil unless a phrase begins there;
        # from, numbers, lasts :: of each step: the state before, the step's number, what was named
        # last before it
        Entry = Struct.new(:label, :element, :from, :numbers, :lasts)
        INTO = ALL.each_with_index.map do |state, to|
          steps = STEPS.select { |step| step.to == to && step.from >= 0 }
          Entry.new(state.label, (element(state.label) if begins?(state.label)), steps.map(&:from).freeze,
                    steps.map(&:number).freeze, steps.map { |step| ALL[step.from].last }.freeze).freeze
        end.freeze
        NUMBERS = STEPS.to_h { |step| [[step.from, step.to], step.number] }.freeze

        # What a reader who goes from left to right still has in mind at a word: the last preposition
        # and how far back it stands, whether two things are being compared, the verb of the sentence.
        class Memory
          PREPOSITIONS = %w[in on at by for from of to with without within into after before during over through against
                            among between around about under than].freeze
          COMPARING = %w[or versus vs than instead rather compared].freeze
          AGAINST = %w[than against].freeze
          VERBS = %w[change assess tell money].freeze
          AUXILIARIES = %w[do does did can could will would should is are was were has have may might].freeze
          STOPS = %w[. ? ! : ;].freeze
          BREAKS = %w[, -].freeze
          private_constant :PREPOSITIONS, :AGAINST, :AUXILIARIES, :STOPS, :BREAKS

          # preposition :: or the sign since which there was none; since :: words after it
          # comparing :: the word that set two things against each other; verb :: the class of the
          #   verb, or its auxiliary
          # content :: how many words in a row were no small ones; small, since_small :: the last small
          #   word or sign, and words after it
          attr_reader :preposition, :since, :comparing, :verb, :content, :small, :since_small

          def initialize
            @since = @content = @since_small = 0
          end

          # The last small word is remembered first: it stands at the word itself.
          def meet_small(token)
            if token.small? || token.kind == token.word
              @small = token.word
              @since_small = 0
            else
              @since_small += 1
            end
          end

          def meet(token)
            remember_place(token.word)
            @content = token.small? ? 0 : @content + 1
            @comparing = token.word if COMPARING.include?(token.word)
            @verb = (token.classes & VERBS).first || @verb ||
                    ("aux:#{token.word}" if AUXILIARIES.include?(token.word))
          end

          private

          def remember_place(word)
            if STOPS.include?(word) then forget(word)
            elsif BREAKS.include?(word) then place(word, content: 0)
            elsif PREPOSITIONS.include?(word)
              place(word)
              @comparing = word if AGAINST.include?(word)
            else
              @since += 1
            end
          end

          def forget(word)
            place(word, content: 0)
            @comparing = @verb = nil
          end

          def place(word, content: @content)
            @preposition = word
            @since = 0
            @content = content
          end
        end
      end
    end
  end
end
