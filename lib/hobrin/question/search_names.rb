# frozen_string_literal: true

module Hobrin
  class Question
    # A phrase of a question as a searcher would put it into a search line: the whole of it without
    # what nearly every paper says at its ends, then the parts between its small words. The last
    # word of each with any ending, when it is long enough for that to be safe. Common practice, no
    # source.
    #
    #   SearchNames.call("adults with leg ulcers at home") # => ["leg ulcer*", "home"]
    module SearchNames
      # Said by nearly every paper, or left to limits.
      EVERYBODY = %w[patient patients people person persons adult adults individual individuals subject subjects someone
                     anyone those].freeze
      # Said by nearly every paper when nothing stands beside it.
      EVERYWHERE = %w[use using treatment intervention care effect better worse new usual having
                      being].freeze
      # What says how much or how surely, and names nothing.
      HOW_FAR = %w[enough sufficient sufficiently really actually simply anyway anyhow maybe perhaps quite rather instead
                   also please].freeze
      # What may stand inside a name: "length of stay", "skin-to-skin care".
      WITHIN = %w[of to].freeze
      # A whole phrase of more words is said by no paper just so.
      LONGEST_WHOLE = 4
      SHORTEST_ROOT = 4
      private_constant :EVERYBODY, :HOW_FAR, :EVERYWHERE, :WITHIN, :LONGEST_WHOLE, :SHORTEST_ROOT

      class << self
        # phrase :: String. Gives an Array of texts for Strategy::TextTerm.read, each once.
        def call(phrase)
          words = words(phrase)
          texts([*whole(words), *parts(words)])
        end

        # The words that the others of a part describe: what is left to try when its parts find
        # nothing.
        def heads(phrase)
          parts = parts(words(phrase)).select do |part|
            part.size > 1 && part.last.size > SHORTEST_ROOT
          end
          texts(parts.flat_map { |part| [part.size > 2 ? part.last(2) : nil, part.last(1)].compact })
        end

        # The words of a phrase that carry it.
        def carrying(phrase) = parts(words(phrase)).flat_map { |part| part.flat_map(&:split) }

        # Whether a name is of people only as every paper is.
        def everybody?(name) = (Text::Tokens.of(name) - EVERYBODY).empty?

        # Whether a word only says how much or how surely.
        def how_far?(word) = HOW_FAR.include?(word)

        private

        # Folded words; those joined by a hyphen together, so that "follow-up" has no small word in
        # it; what is owned apart from its owner.
        def words(phrase)
          phrase.gsub(/['’]s\b/, " the ").split(/[^[:alnum:]-]+/).map { |piece| Text::Tokens.line(piece) }.reject(&:empty?)
        end

        def texts(parts) = parts.map { |some| with_any_ending(some) }.uniq

        def whole(words)
          whole = trimmed(words)
          return [] if whole.empty? || whole.size > LONGEST_WHOLE

          whole.any? { |word| small?(word) && !WITHIN.include?(word) } ? [] : [whole]
        end

        def parts(words)
          parts = words.slice_when { |one, two| small?(one) != small?(two) }
                       .reject { |some| small?(some.first) }
          carrying = parts.map { |part| trimmed(part) }.reject { |part| (part - EVERYWHERE).empty? }
          carrying.empty? ? parts : carrying
        end

        def trimmed(words)
          empty = ->(word) { small?(word) || EVERYBODY.include?(word) }
          words.drop_while(&empty).reverse.drop_while(&empty).reverse
        end

        def small?(word) = Understanding::Sentence.small?(word) || how_far?(word) || word.size < 2

        def with_any_ending(words)
          *before, last = words.flat_map(&:split)
          root = Text::Variants.stem(last)
          long = root.size > SHORTEST_ROOT || (root.size == SHORTEST_ROOT && root != last)
          [*before, long ? "#{root}*" : last].join(" ")
        end
      end

      # Short forms of the ward, and what they are short for: a few that everybody knows. Common
      # practice, no source.
      module Abbreviations
        LONG = {
          "abx" => "antibiotics", "af" => "atrial fibrillation", "aki" => "acute kidney injury", "bp" => "blood pressure",
          "cauti" => "catheter-associated urinary tract infection", "ckd" => "chronic kidney disease",
          "copd" => "chronic obstructive pulmonary disease", "cpr" => "cardiopulmonary resuscitation",
          "ct" => "computed tomography", "dka" => "diabetic ketoacidosis", "dvt" => "deep vein thrombosis",
          "ecg" => "electrocardiogram", "ed" => "emergency department", "gi" => "gastrointestinal",
          "gp" => "general practice",
          "hcai" => "healthcare-associated infection", "hf" => "heart failure", "icu" => "intensive care unit",
          "itu" => "intensive care unit", "iv" => "intravenous", "ld" => "learning disability", "los" => "length of stay",
          "mi" => "myocardial infarction", "mnd" => "motor neurone disease", "ms" => "multiple sclerosis",
          "ng" => "nasogastric", "nicu" => "neonatal intensive care unit", "nsaid" => "anti-inflammatory drugs",
          "peg" => "gastrostomy", "picc" => "peripherally inserted central catheter", "ppi" => "proton pump inhibitor",
          "ptsd" => "post-traumatic stress", "qol" => "quality of life", "sob" => "breathlessness",
          "ssi" => "surgical site infection", "tia" => "transient ischaemic attack", "uti" => "urinary tract infection",
          "vap" => "ventilator-associated pneumonia", "vte" => "venous thromboembolism"
        }.freeze
        private_constant :LONG

        class << self
          # phrase :: String. Gives it with its short forms written out, as an Array of one; empty when
          # it has none.
          #
          #   Abbreviations.written_out("UTIs at home") # => ["urinary tract infection at home"]
          def written_out(phrase)
            words = Text::Tokens.of(phrase)
            long = words.map { |word| LONG[word] || LONG[word.sub(/(?<!s)s\z/, "")] || word }
            long == words ? [] : [long.join(" ")]
          end
        end
      end

      # Words that find nothing of use: judgements, words that only join two ideas, words that nearly
      # every paper has, and whole sentences. Common practice, no source.
      module NoUse
        # words :: as they stand; reason :: why, in a sentence
        class Remark < Value
          attributes :words, :reason
        end

        REASONS = {
          %w[best better good effective effectively effectiveness efficient useful optimal ideal
             appropriate proper] =>
            :judgement,
          %w[improve improves improved improving improvement reduce reduces reduced reducing increase increases increased
             decrease decreases prevent prevents affect affects help helps] =>
            :direction,
          %w[effect effects impact influence role relationship association versus vs compared comparison between
             difference] => :joins,
          %w[patient patients people person persons study studies research paper papers evidence hospital care outcome
             outcomes intervention interventions] => :everywhere
        }.flat_map { |words, reason| words.map { |word| [word, reason] } }.to_h.freeze
        MOST_WORDS = 8
        private_constant :REASONS, :MOST_WORDS

        # text :: what is to be searched; thesaurus :: Thesaurus, since a name that it knows is of
        #   use, unless it is one that
        # nearly every paper says.
        # Gives an Array of Remark. A word is remarked on when all others around it are of no use
        # either, or small, unless it judges or joins: that one is of no use anywhere.
        def self.call(text, thesaurus)
          words = Text::Tokens.of(text)
          return [sentence(text)] if words.size > MOST_WORDS

          poor = words.select { |word| REASONS.key?(word) }.uniq
          alone = (words - poor - Thesaurus::Reading::EMPTY).empty?
          return [] if thesaurus.named(text) && poor.none? { |word| everywhere?(word) && alone }

          poor.select { |word| alone || !everywhere?(word) }
              .map { |word| Remark.new(words: word, reason: Book.t("question.no_use.#{REASONS.fetch(word)}")) }
        end

        def self.everywhere?(word) = REASONS.fetch(word) == :everywhere

        def self.sentence(text)
          Remark.new(words: text, reason: Book.t("question.no_use.sentence", count: Text::Tokens.of(text).size))
        end
        private_class_method :everywhere?, :sentence
      end
    end
  end
end
