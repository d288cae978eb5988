# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # The papers as a list of references, who signed, and where it can be read.
        class References < Part
          def call
            section(:references, "References", items(material.references), left_out,
                    (words("In the style of #{material.style}.", :small) if material.references.any?),
                    signed, words(material.address && "Read it at #{material.address}", :small))
          end

          private

          def left_out
            count = material.brief.rows.size
            words("The references of #{count} papers are in the files.", :small) if material.references.empty? && count.positive?
          end

          def signed
            acting.signed.each.with_index(1).flat_map do |signature, number|
              line = "Version #{number} signed off by #{signature.name} on #{day(signature.on.iso8601)}, " \
                     "line #{signature.line} of the trail."
              [words(line), *open_when(signature)]
            end
          end

          # What was open when somebody signed, and why they signed all the same.
          def open_when(signature)
            return [] if signature.gaps.empty?

            [words("Open when it was signed, and signed because: #{signature.reason}", :small), items(signature.gaps)]
          end
        end
      end
    end
  end
end
