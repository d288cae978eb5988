# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Reads a clause about dates: = < <= > >= with a year or an ISO 8601 date, or within "2016
      # 2026".
      module DateClause
        class << self
          # clause :: Parser::Clause; name :: :dates or :added. Gives Dates. Raises Cql::Error.
          def call(clause, name)
            dates = clause.term.plain.split
            wrong = dates.empty? || dates.any? { |date| !Dates.date?(date) }
            refuse(clause.term, "a year or a date such as 2016 or 2016-03-01") if wrong

            Dates.new(name:, **span(clause, *dates))
          end

          private

          def span(clause, first, last = nil, *rest)
            relation = clause.relation.text.downcase.delete_prefix("cql.")
            pair = relation == "within"
            refuse(clause.term,
                   pair ? "two dates, as in \"2016 2026\"" : "one date") unless rest.empty? && pair == !last.nil?

            case relation
            when "within" then { from: first, to: last }
            when "=", "==" then { from: first, to: first }
            when ">=" then { from: first }
            when "<=" then { to: first }
            when ">" then { from: beside(first, 1) }
            when "<" then { to: beside(first, -1) }
            else refuse(clause.relation, "one of = < <= > >= within after “#{clause.index.text}”")
            end
          end

          # The year, month or day after (1) or before (-1).
          def beside(date, step)
            case date.size
            when 4 then (date.to_i + step).to_s
            when 7 then (Date.new(*date.split("-").map(&:to_i)) >> step).strftime("%Y-%m")
            else (Date.iso8601(date) + step).iso8601
            end
          end

          def refuse(token, expected) = raise(Error.new(token, expected:))
        end
      end
    end
  end
end
