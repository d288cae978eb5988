# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # What is to be told of a question that was written anew: an Array of Hashes, each with `what`
      # and what belongs to it.
      module QuestionChanges
        class << self
          # before, after :: Question
          def call(before, after)
            [*texts(before, after), *named(before, after), *declined(before, after),
             *elements(before, after)]
          end

          private

          def texts(before, after)
            [({ what: "reworded" } if before.text != after.text),
             ({ what: "situation" } if before.situation != after.situation)].compact
          end

          def named(before, after)
            [({ what: "kind", kind: after.kind } if before.kind != after.kind),
             ({ what: "frame", frame: after.frame } if before.frame != after.frame)].compact
          end

          def declined(before, after)
            (after.declined - before.declined).map { |_, words| { what: "declined", words: } }
          end

          def elements(before, after)
            pairs = after.elements.map { |new| [before.element(new.key) || Question::Element.blank(new.slot), new] }
            pairs.reject { |old, new| same?(old, new) }.map { |old, new| element(old, new) }
          end

          # A phrase that only moved with its sentence is no change worth telling.
          def same?(old, new)
            old.use == new.use && old.phrases.map(&:text) == new.phrases.map(&:text)
          end

          def element(old, new)
            return { what: "use", letter: new.letter, use: new.use.to_s } if old.use != new.use

            { what: "phrases", letter: new.letter, name: new.name }
          end
        end
      end
    end
  end
end
