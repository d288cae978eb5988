# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Ask step.
      class Ask < Step
        REMARKS = { searched: "It becomes a block of names.", limit: "Put it on at Narrow: age, sex.",
                    reading: "Judged while reading." }.freeze
        private_constant :REMARKS

        def kinds = Question::Kind::ALL
        def uses = Question::Element::USES

        # What was typed and refused, or what is stored.
        def situation = errors.empty? ? question.situation : fields.text(:situation)
        def text = errors.empty? ? question.text : fields.text(:question)

        def chosen_kind = errors.empty? ? question.kind : (fields.some_text(:kind) || question.kind)

        def typed_phrases(element)
          errors.empty? ? element.typed.map(&:text).join("; ") : fields.text(:"typed_#{element.letter}")
        end

        def use(element)
          errors.empty? ? element.use : (fields.one_of(:"use_#{element.letter}", uses.keys) || element.use)
        end

        # Why an element that is blank or not searched stands as it does, in the rules of practice.
        def remark(element)
          return element.slot.prompt if element.blank?
          if element.letter == "C" && element.use == :reading
            return "Papers seldom name what was done before: it is kept for reading."
          end

          REMARKS.fetch(element.use)
        end

        def next_words
          return "Mark who it is about and what you would do: those two carry the search." if question.searched.empty?
          return "Say what kind of question it is: that decides which studies answer it." unless question.kind

          letters = question.searched.map(&:letter).join(", ")
          "#{letters} will be searched. #{kind.name}: best answered by #{kind.best}."
        end
      end
    end
  end
end
