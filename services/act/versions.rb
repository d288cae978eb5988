# frozen_string_literal: true

module Hobrin
  module Services
    module Act
      # The signed versions of a brief, what changed since, and what the pooled values were then.
      class Versions < Service
        # An outcome then and now: before, now :: Appraisal::Findings::Row or nil where there is none
        class Moved < Value
          attributes :name, :before, :now

          def changed? = told(before) != told(now)

          private

          def told(row)
            row && [row.effect&.estimate, row.effect&.low, row.effect&.high, row.certainty&.level,
                    row.pool.studies.size]
          end
        end

        # opened :: OpenInquiry; number :: of the version, from 1. Gives the Exchange::Report as it
        # was signed. Raises GoneError.
        def report(opened, number)
          signature = signature(opened, number)
          @context.shared_briefs.report(opened.id, signature.line) ||
            Exchange::Report::Compose.call(ReadMaterial.new(@context).call(then_at(opened,
                                                                                   signature)))
        end

        # The brief as it stands, as an Exchange::Report. The rest :: see ReadMaterial.
        def now(opened, **materials) = compose(opened, **materials)

        # What reads differently since a version: Array of Exchange::Report::Since::Part.
        def since(opened, number)
          Exchange::Report::Since.of(*[report(opened, number), compose(opened)].map { |report| compared(report, opened) })
        end

        # The lines of the trail after a version was signed, the last first.
        def lines(opened, number)
          @context.inquiries.lines_after(opened.id, signature(opened, number).line).reverse
        end

        # What each outcome came to when a version was signed, and comes to now: Array of Moved.
        def moved(opened, number)
          before = rows(then_at(opened, signature(opened, number)))
          now = rows(opened)
          (before.keys | now.keys).map do |id|
            Moved.new(name: (now[id] || before[id]).outcome.name, before: before[id], now: now[id])
          end
        end

        private

        # Of many papers the references are in the files alone, and are not compared.
        def compared(report, opened)
          return report if opened.inquiry.kept_ids.size <= ReadMaterial::MOST_CITED

          report.with(sections: report.sections.reject { |section| section.key == :references })
        end

        def compose(opened, **materials)
          Exchange::Report::Compose.call(ReadMaterial.new(@context, **materials).call(opened))
        end

        def signature(opened, number)
          signed = opened.inquiry.acting.signed
          number.to_i.between?(1, signed.size) ? signed[number - 1] : raise(GoneError, "version")
        end

        # The inquiry as it was when it was signed, over the library as it is now.
        def then_at(opened, signature)
          Inquiries::Open.new(@context,
                              opened.saved.with(inquiry: @context.inquiries.state_at(opened.id,
                                                                                     signature.line)))
        end

        def rows(opened) = Appraise::Read.new(@context, opened).table.to_h { |row| [row.outcome.id, row] }
      end
    end
  end
end
