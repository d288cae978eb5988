# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Reads a clause about dates: = < <= > >= with a year or an ISO 8601 date, or within "2016
      # 2026".
      module DateClause
        class << self
          # clause :: Parser::Clause; name :: :dates or :added. Gives a tree of Dates. Raises
          #   Cql::Error.
          def call(clause, name)
            dates = clause.term.plain.split
            wrong = dates.empty? || dates.any? { |date| !Dates.date?(date) }
            refuse(clause.term, Book.t("strategy.cql.date_example")) if wrong

            relation = clause.relation.text.downcase.delete_prefix("cql.")
            return beyond(name, relation, dates.first) if %w[< >].include?(relation) && dates.one?

            Dates.new(name:, **span(clause, relation, *dates))
          end

          private

          # Before or after a date: all on that side or equal to it, without those equal to it. A
          # date of the library that says less than the one asked for is equal to it, see Dates.
          def beyond(name, relation, date)
            from, to = relation == ">" ? %i[from to] : %i[to from]
            Except.new(kept: Dates.new(name:, from => date), excluded: Dates.new(name:, to => date))
          end

          def span(clause, relation, first, last = nil, *rest)
            pair = relation == "within"
            unless rest.empty? && pair == !last.nil?
              refuse(clause.term, pair ? Book.t("strategy.cql.two_dates") : Book.t("strategy.cql.one_date"))
            end

            case relation
            when "within" then { from: first, to: last }
            when "=", "==", "exact" then { from: first, to: first }
            when ">=" then { from: first }
            when "<=" then { to: first }
            else refuse(clause.relation, Book.t("strategy.cql.date_relation", index: clause.index.text))
            end
          end

          def refuse(token, expected) = raise(Error.new(token, expected:))
        end
      end
    end
  end
end
