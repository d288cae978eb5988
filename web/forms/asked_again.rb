# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      # A press by which other catalogues are asked again, and what is said of it.
      module AskedAgain
        private

        # asking :: Services::Narrow::OtherCatalogues::Ask. Gives an ApplyEdit::Outcome. Raises InputError (:press)
        # where none answered.
        def ask_again(asking, id)
          outcome, troubles = asking.again(id)
          wrong = troubles.map { |name, words| "#{name}: #{words}" }.join(" ")
          raise InputError, { press: wrong.empty? ? "No other catalogue was asked yet." : wrong } unless outcome

          told = outcome.opened.inquiry.elsewhere.reject { |one| troubles.key?(one.source) }
          counts = told.map { |one| "#{one.source} #{one.count} records" }
          @said = "Asked again: #{counts.join(", ")}. #{wrong}".strip
          outcome
        end
      end
    end
  end
end
