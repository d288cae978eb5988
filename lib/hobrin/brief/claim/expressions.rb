# frozen_string_literal: true

module Hobrin
  class Brief
    module Claim
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
