# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      # What all forms have in common: parameters in, once; an edit out, and where it leads. What
      # was typed stays in the fields for the page that says what was wrong.
      class Form
        UNKNOWN = "This page is too old for that button. Load it again, then repeat what you did."
        private_constant :UNKNOWN

        # The step that a form of these fields is on, nil for the one of its route.
        def self.step(_fields) = nil

        # fields :: Fields
        def initialize(fields)
          @fields = fields
        end

        # Gives an Edits::Edit. Raises InputError for what the person can mend.
        def edit = raise(NotImplementedError)

        # outcome :: Services::ApplyEdit::Outcome. Gives an After.
        def after(_outcome) = After.new

        private

        attr_reader :fields

        # A text as it was written, or without what may tell who a patient is, where that was pressed.
        def written(name)
          text = fields.text(name)
          fields.text(:without) == name.to_s ? Text::Identifiers.without(text, today: Date.today) : text
        end

        # A press that means nothing must not look as if something had been done.
        def unknown = raise(InputError, { press: UNKNOWN })

        # The id of an inquiry's part as a whole number. Raises GoneError for anything else: there
        # is no such part.
        def id(name, of:)
          number = fields.number(name)
          number.is_a?(Integer) && number.between?(1, 2**31) ? number : raise(GoneError, of)
        end
      end
    end
  end
end
