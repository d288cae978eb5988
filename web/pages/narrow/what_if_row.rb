# frozen_string_literal: true

require "digest"

module Hobrin
  module Web
    module Pages
      class Narrow
        # One what-if: what it would leave, bring and take, and what becomes of the papers that must
        # be found.
        class WhatIfRow
          include Formatting

          # The papers that would come or go: says :: how many of how many are shown
          class Papers < Value
            attributes :says, :records
          end

          # page :: Narrow; what_if :: Narrowing::WhatIfs::WhatIf
          def initialize(page, what_if)
            @page = page
            @what_if = what_if
          end

          # By which a press and an address name it.
          def name = @what_if.name

          # For the markup, where a name must be one word.
          def id = "what-if-#{Digest::SHA1.hexdigest(name)[0, 12]}"

          def wording = @what_if.wording
          def title = wording[0].upcase + wording[1..]
          def size = @what_if.size
          def added = @what_if.added.empty? ? "" : signed(@what_if.added.size)
          def removed = @what_if.removed.empty? ? "" : signed(-@what_if.removed.size)

          # Whether its papers are shown.
          def open? = @page.fields.text(:what_if) == name
          def path = open? ? @page.path : @page.path(what_if: name)

          # "1 of 3 lost", "2 back", "none lost"; "" while no paper must be found.
          def must_find
            known = @page.inquiry.must_find.size
            return "" if known.zero?

            back = "#{@what_if.regained.size} back" if @what_if.regained.size.positive?
            lost = "#{@what_if.lost.size} of #{known} lost" if @what_if.lost.size.positive?
            back || lost ? [back, lost].compact.join(", ") : "none lost"
          end

          # What it would bring and take.
          def papers
            sets = { "in" => @what_if.added, "out" => @what_if.removed }
            sets.zip(@page.what_if_reader.papers(@what_if)).filter_map do |(where, set), records|
              newest = ", the newest" if set.size > records.size
              Papers.new(says: "#{count_of(set.size, "paper")} #{where}#{newest}:", records:) if records.any?
            end
          end
        end
      end
    end
  end
end
