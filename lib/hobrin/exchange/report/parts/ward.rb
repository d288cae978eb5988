# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # The one page that a ward meeting needs: what the evidence says, what was decided, how sure
        # it is, and what changes.
        class Ward < Part
          # So many outcomes fit on one page beside the rest.
          MOST = 7
          MOST_SOURCES = 8
          COLUMNS = Book.names("exports.ward", %i[outcome papers_people effect without with certainty in_words]).values.freeze
          private_constant :MOST, :MOST_SOURCES, :COLUMNS

          def call
            section(:ward, Book.t("exports.ward.title"), conclusion, decided, elements, compared, absent, findings, told, hundred,
                    plan, sources, signed, address)
          end

          private

          def conclusion
            text = brief.conclusion
            words(text.empty? ? Book.t("exports.ward.not_written") : text, :lead)
          end

          def decided
            decision = Brief::Acting::Consideration::DECISIONS[acting.decision]
            words(Book.t("exports.ward.decided", decision:)) if decision
          end

          def elements
            items(material.question.elements.reject(&:blank?).map { |element| "#{element.slot.name}: #{element.name}" })
          end

          def compared
            lines = brief.compared.lines
            words(Book.t("exports.ward.compared", comparisons: lines.join("; "))) if lines.any?
          end

          def absent
            name = brief.compared.absent
            words(Book.t("exports.ward.no_evidence", comparison: name), :strong) if name
          end

          def findings
            lines = material.table.lines
            rows = lines.first(MOST).map { |line| row(line) }
            more = lines.size - rows.size
            [(words(Book.t("exports.ward.summary"), :strong) if rows.any?),
             grid(Book.t("exports.ward.summary"), COLUMNS, rows),
             (words(Book.t("exports.ward.more_outcomes", outcomes: count_of(more, "more outcome")), :small) if more.positive?)]
          end

          def row(line)
            people = ", #{line.people}" unless line.people.empty?
            effect = "#{line.effect} #{line.measure}".strip
            [[line.outcome.name, line.compared].compact.join(": "), "#{line.papers}#{people}", effect, line.without, line.with,
             line.certainty.to_s, line.words.to_s]
          end

          # What people tell.
          def told
            items(material.table.findings.map do |finding, confidence|
              Book.t("exports.ward.finding", finding: finding.text, papers: count_of(finding.ids(:for).size,
                                                                                     "paper"), confidence: confidence.word)
            end)
          end

          def hundred
            row = material.table.rows.find { |row| row.side && row.hundred }
            row && [words(Book.t("exports.ward.hundred", outcome: row.outcome.name), :strong), Pictures::Hundred.of(row)]
          end

          def plan
            rows = Brief::ActionPlan::PROMPTS.filter_map do |name, prompt|
              text = brief.plan.public_send(name)
              [prompt, text] unless text.empty?
            end
            [(words(Book.t("exports.ward.change"), :strong) if rows.any?), grid(Book.t("exports.ward.change"), ["", ""], rows)]
          end

          # The papers behind it, a line each.
          def sources
            rows = brief.rows.select(&:paper)
            lines = rows.first(MOST_SOURCES).map { |row| source(row) }
            more = rows.size - lines.size
            [(words(Book.t("exports.ward.papers"), :strong) if lines.any?), items(lines),
             (words(Book.t("exports.ward.more_papers", papers: count_of(more, "more paper")), :small) if more.positive?)]
          end

          def source(row)
            made = [row.design&.name&.downcase, row.level&.to_s&.downcase].compact.join(", ")
            retracted = "RETRACTED: " if row.record.retracted?
            "#{retracted}#{[row.record.short_name, row.record.journal].compact.join(", ")}: #{made}"
          end

          def address
            material.address && [Pictures::Qr.of(material.address), words(material.address, :small)]
          end

          def signed
            last = acting.signed.last
            return words(Book.t("exports.ward.not_signed"), :small) unless last

            signed = Book.t("exports.ward.signed", name: last.name, day: day(last.on.iso8601))
            open = Book.t("exports.ward.signed_despite", count: last.gaps.size, reason: last.reason) if last.gaps.any?
            words([signed, open].compact.join(" "), :small)
          end
        end
      end
    end
  end
end
