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
          COLUMNS = ["Outcome", "Papers, people", "Effect", "Of 100 without", "Of 100 with",
                     "How sure", "In words"].freeze
          private_constant :MOST, :MOST_SOURCES, :COLUMNS

          def call
            section(:ward, "For the ward", conclusion, decided, elements, compared, absent, findings, told, hundred,
                    plan, sources, signed, address)
          end

          private

          def conclusion
            text = brief.conclusion
            words(text.empty? ? "What the evidence says is not written yet." : text, :lead)
          end

          def decided
            decision = Brief::Acting::Consideration::DECISIONS[acting.decision]
            words("Decided: #{decision}.") if decision
          end

          def elements
            items(material.question.elements.reject(&:blank?).map { |element| "#{element.slot.name}: #{element.name}" })
          end

          def compared
            lines = brief.compared.lines
            words("Compared in the papers: #{lines.join("; ")}.") if lines.any?
          end

          def absent
            name = brief.compared.absent
            words("Nothing here about #{name}: the question asks for it, and no included paper names it.", :strong) if name
          end

          def findings
            lines = material.table.lines
            rows = lines.first(MOST).map { |line| row(line) }
            more = lines.size - rows.size
            [(words("Table of findings", :strong) if rows.any?),
             grid("Table of findings", COLUMNS, rows),
             (words("#{count_of(more, "more outcome")} in the full report.", :small) if more.positive?)]
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
              "#{finding.text} (#{count_of(finding.ids(:for).size,
                                           "paper")}, #{confidence.word} confidence)"
            end)
          end

          def hundred
            row = material.table.rows.find { |row| row.side && row.hundred }
            row && [words("#{row.outcome.name} in 100 people like ours", :strong), Pictures::Hundred.of(row)]
          end

          def plan
            rows = Brief::ActionPlan::PROMPTS.filter_map do |name, prompt|
              text = brief.plan.public_send(name)
              [prompt, text] unless text.empty?
            end
            [(words("The change", :strong) if rows.any?), grid("The change", ["", ""], rows)]
          end

          # The papers behind it, a line each.
          def sources
            rows = brief.rows.select(&:paper)
            lines = rows.first(MOST_SOURCES).map { |row| source(row) }
            more = rows.size - lines.size
            [(words("The papers behind this", :strong) if lines.any?), items(lines),
             (words("#{count_of(more, "more paper")} in the full report.", :small) if more.positive?)]
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
            return words("Not signed off yet.", :small) unless last

            open = " #{count_of(last.gaps.size, "point")} open: #{last.reason}" if last.gaps.any?
            words("Signed off by #{last.name} on #{day(last.on.iso8601)}.#{open}", :small)
          end
        end
      end
    end
  end
end
