# frozen_string_literal: true

module Hobrin
  class Brief
    module Claim
      # What a text asserts of outcomes: which way each goes, how surely, and by how much. It goes by
      # words, clause by clause; it sees no irony.
      class Reading
        # outcome :: its name, nil where none is named; ways :: as Expressions::Expression has them
        # sure :: 4, 3 for "probably", 2 for "may"; clause :: the words around it
        class Assertion < Value
          attributes :outcome, :ways, :sure, :clause
        end

        PROBABLY = /\b(?:probably|likely|unlikely)\b/i
        PERHAPS = /\b(?:may|might|could|perhaps|possibly|seems?|appears?|suggests?)\b/i
        # Nothing is claimed where one of these stands before it.
        OPEN = /\b(?:cannot\s(?:tell|say|know)|unclear|uncertain|not\sknown|unknown|not\ssure|whether|if|
          no\s(?:good\s|clear\s)?evidence)\b/ix
        NOT = /\b(?:not|cannot|never|neither|nor|no|nothing|without|fail(?:s|ed)?\sto|unlikely)\b(?:\W+\w+){0,4}\W*\z|
          n[’']t\b(?:\W+\w+){0,4}\W*\z/ix
        # "to lower delirium" is an aim, and no claim.
        AIM = /\bto\s\z/i
        CLAIMING_TO = /\b(?:seems?|appears?|likely|unlikely|fail(?:s|ed)?|shown|found|known|expected)\sto\s\z/i
        BREAK = /,|\band\b|\bbut\b|\bwhile\b|\bwhereas\b|\balthough\b|\bor\b|\bnor\b/i
        SENTENCE = /(?<=[.;:!?])\s+/
        private_constant :PROBABLY, :PERHAPS, :OPEN, :NOT, :AIM, :CLAIMING_TO, :BREAK, :SENTENCE

        # names :: Array of the names of outcomes
        def initialize(names)
          @words = names.to_h { |name| [name, Reading.telling(name)] }
          shared = @words.values.flatten.tally.select { |_, times| times > 1 }.keys
          @words = @words.transform_values { |words| words - shared }
        end

        # Words that say little of what is counted.
        FILLING = %w[rated patients people score scale days time rate number quality behind within after during with
                     from the and of in by at a an on or].freeze

        # The words by which an outcome is known in a sentence, without their endings.
        def self.telling(name)
          words = name.downcase.scan(/\p{L}+/) - FILLING
          words.map { |word| word.sub(/(?:ies|es|s|y|ing|ed)\z/, "") }.select { |word| word.size > 2 }
        end

        # Gives an Array of Assertion.
        def call(text)
          Expressions.plain(text).split(SENTENCE).flat_map { |sentence| of_sentence(sentence) }
        end

        private

        # The text between expressions is cut at its conjunctions. The first part behind one is its
        # object; the last part before the next is that one's subject, if it has no object.
        def of_sentence(sentence)
          found = merged(sentence, Expressions.all_in(sentence))
          gaps = gaps(sentence, found)
          sure = nil
          found.each_with_index.flat_map do |expression, place|
            before, after = gaps[place], gaps[place + 1]
            next [] if open?(sentence, found, place)

            sure = surety(before, expression, sure)
            assertions(expression, [before, after], found[place + 1] && gaps[place + 2], sure)
          end
        end

        # "cause less", "make no difference", "goes on to lower": the later word counts.
        def merged(sentence, found)
          found.reject.with_index do |one, place|
            following = found[place + 1] or next
            between = sentence[one.to...following.from]
            !following.verb && between.split.size <= 2 && !between.match?(BREAK) && outcomes(between).empty?
          end
        end

        def gaps(sentence, found)
          ends = [0, *found.map(&:to)]
          starts = [*found.map(&:from), sentence.size]
          ends.zip(starts).map { |from, to| sentence[from...to] }
        end

        def open?(sentence, found, place)
          from = place.zero? ? 0 : found[place - 1].to
          before = sentence[from...found[place].from]
          before.match?(OPEN) || (before.match?(AIM) && !before.match?(CLAIMING_TO))
        end

        # A verb without an "s" shares the "may" or "probably" of the one before it.
        def surety(before, expression, last)
          return 2 if before.match?(PERHAPS)
          return 3 if before.match?(PROBABLY)

          expression.bare && last && !before.match?(/\b(?:they|it|we|these|which)\b/i) ? last : 4
        end

        def assertions(expression, gaps, beyond, sure)
          before, after = gaps
          clause = gaps.join(expression.words)
          expression = expression.denied if denied?(before)
          outcomes = object(after, beyond)
          outcomes = outcomes(before.split(BREAK).last.to_s).map { |name| [name, false] } if outcomes.empty?
          return told(outcomes, expression, sure, clause) if outcomes.any?

          expression.verb ? [Assertion.new(outcome: nil, ways: expression.ways, sure:, clause:)] : []
        end

        def denied?(before) = before.split(/,|\bbut\b/i).last.to_s.match?(NOT)

        # [outcome, whether it is denied] of the parts behind an expression that are its own.
        def object(after, beyond)
          parts = after.split(/(?=#{BREAK})/)
          return [] if parts.empty? || outcomes(parts.first).empty? && !parts.first.match?(/\b(?:neither|both)\b/i)

          parts.pop if beyond && parts.size > 1 && object_first(beyond).empty?
          neither = after.match?(/\bneither\b/i)
          parts.flat_map do |part|
            denied = neither || part.match?(/\A(?:but|and|,)?\W*(?:not|no)\b/i)
            outcomes(part).map { |name| [name, denied] }
          end
        end

        def object_first(gap) = outcomes(gap.split(BREAK).first.to_s)

        def told(outcomes, expression, sure, clause)
          outcomes.uniq.map do |name, denied|
            Assertion.new(outcome: name, ways: (denied ? expression.denied : expression).ways, sure:, clause:)
          end
        end

        def outcomes(text)
          text = text.downcase
          @words.select { |_, words| words.any? { |word| text.match?(/\b#{Regexp.escape(word)}/) } }.keys
        end

        # The words by which a sentence says which way something goes. Common practice, no source; the
        # words are ours.
        module Expressions
          # An expression in a text.
          #
          # ways :: Array of what it lets be: :less, :more and :alike of the outcome, or :better,
          #   :worse and :alike for it; from, to :: where it stands; verb :: whether a missing outcome
          #   means any, as in "it works"; bare :: whether it may share the "may" of a verb before it
          class Expression < Value
            attributes :ways, :from, :to, :verb, :bare, :words

            # The same denied: whatever it said is not so.
            def denied = with(ways: denied_ways)

            private

            def denied_ways
              opposite = { less: :more, more: :less, better: :worse, worse: :better }
              return %i[less more] if ways == %i[alike]
              return [:alike] if ways.size > 1

              [:alike, opposite.fetch(ways.first)]
            end
          end

          # The stems take "s", "d", "ing" and so on behind them.
          LESS = /lower|reduc|decreas|cut|halv|prevent|avoid|shorten|lessen|diminish|protect(?:s|ed|ing)? against/
          MORE = /rais|increas|lengthen|caus|doubl|trigger|provok/
          BETTER = /improv|help|benefit|eas|reliev/
          WORSE = /worsen|harm|damag|impair/
          FALLS = /falls?|fell|falling|drops?|dropped|declines?|declined|goes down|went down|go down|shrinks?/
          RISES = /rises?|rose|rising|goes up|went up|go up|grows?|grew/
          FEWER = /less often|less common|less frequent|rarer|fewer|less|lower|shorter|smaller/
          MORE_OF = /more often|more common|more frequent|more|higher|longer|greater/
          CHANGES = /affect|chang|alter|influenc|differ/
          SAME = /(?:little or )?no (?:clear |real )?(?:difference|effect|change)|(?:about )?the same|similar|alike|unchanged|unaffected/
          INFLECTED = /(?:e|es|ed|s|d|t|ting|ts|ing|ful)?/
          # What looks like one of these and says nothing of an outcome.
          OTHERWISE = /\b(?:no longer|
            (?:more|fewer|less)\s(?:research|studies|trials|evidence|data|papers|than|work|sure|certain)|
            (?:higher|lower|greater|less)\s(?:risk\sof\sbias|certainty|confidence|quality)|as\swell|not\sonly)\b/ix
          private_constant :LESS, :MORE, :BETTER, :WORSE, :FALLS, :RISES, :FEWER, :MORE_OF, :CHANGES, :SAME, :INFLECTED,
                           :OTHERWISE

          # [pattern, ways, verb, bare]: the longer before the shorter.
          KINDS = [
            [SAME, %i[alike], false, false],
            [/#{LESS}#{INFLECTED}/, %i[less], true, true], [/#{MORE}#{INFLECTED}/, %i[more], true, true],
            [/#{BETTER}#{INFLECTED}|works?|effective/, %i[better], true, true],
            [/#{WORSE}#{INFLECTED}/, %i[worse], true, true],
            [FALLS, %i[less], false, true], [RISES, %i[more], false, true],
            [/#{CHANGES}#{INFLECTED}/, %i[less more], false, true],
            [FEWER, %i[less], false, false], [MORE_OF, %i[more], false, false],
            [/better/, %i[better], false, false], [/worse/, %i[worse], false, false]
          ].freeze
          private_constant :KINDS

          class << self
            # The text without what looks like an expression and is none, as long as before.
            def plain(text) = text.gsub(OTHERWISE) { |words| " " * words.size }

            # text :: as `plain` gives it. Array of Expression, in order, none within another.
            def all_in(text)
              found = KINDS.flat_map { |pattern, *rest| of_kind(text, pattern, *rest) }
              found.sort_by { |one| [one.from, -one.to] }.each_with_object([]) do |one, kept|
                kept << one unless kept.last && one.from < kept.last.to
              end
            end

            private

            def of_kind(text, pattern, ways, verb, bare)
              found = []
              text.scan(/\b(?:#{pattern})\b/i) { found << Regexp.last_match }
              found.map do |match|
                Expression.new(ways:, from: match.begin(0), to: match.end(0), verb:,
                               bare: bare && !match[0].match?(/s\z/i), words: match[0])
              end
            end
          end
        end
      end
    end
  end
end
