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
                    items(signed), words(material.address && "Read it at #{material.address}", :small))
          end

          private

          def left_out
            count = material.brief.rows.size
            words("The references of #{count} papers are in the files.", :small) if material.references.empty? && count.positive?
          end

          def signed
            acting.signed.each_with_index.map do |one, place|
              "Version #{place + 1} signed off by #{one.name} on #{day(one.on.iso8601)}, line #{one.line} of the trail."
            end
          end
        end
      end
    end
  end
end
