# frozen_string_literal: true

module Hobrin
  module Web
    # What all forms have in common: parameters in, once; an edit out, and where it leads. What
    # was typed stays in the fields for the page that says what was wrong.
    class Form
      UNKNOWN = Book.t("common.catalogues.button_expired")
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

      # Where a form leads once its change was made.
      #
      # step :: another step to show, nil for the one that the form is on; paper :: id of the record
      #   to open there, or nil
      # said :: what was done, in words, where the page does not show it; stay :: Hash of parameters
      #   that the page keeps, such as what is open on it; list :: Hash of those that its address
      #   has too
      class After < Value
        attributes :step, :paper, :said, :stay, :list

        def initialize(step: nil, paper: nil, said: nil, stay: {}, list: {})
          super
        end

        # What the address of the page says of it.
        def query = { **list, "paper" => paper }.compact
      end

      # A press by which other catalogues are asked again, and what is said of it.
      module AskedAgain
        private

        # asking :: Services::Narrow::OtherCatalogues::Ask. Gives an ApplyEdit::Outcome. Raises InputError (:press)
        # where none answered.
        def ask_again(asking, id)
          outcome, troubles = asking.again(id)
          wrong = troubles.map { |name, words| "#{name}: #{words}" }.join(" ")
          raise InputError, { press: wrong.empty? ? Book.t("common.catalogues.none_searched") : wrong } unless outcome

          told = outcome.opened.inquiry.elsewhere.reject { |search| troubles.key?(search.source) }
          counts = told.map { |search| Book.t("common.catalogues.records", source: search.source, count: search.count) }
          @said = Book.t("common.catalogues.searched_again", counts: counts.join(", "), problems: wrong).strip
          outcome
        end
      end
    end
  end
end
