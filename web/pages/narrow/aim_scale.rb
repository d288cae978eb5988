# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Narrow
        # The count against the aim.
        class AimScale
          include Formatting

          # A usual aim: value :: what a press sends
          class Usual < Value
            attributes :value, :words, :chosen
          end

          # page :: Narrow
          def initialize(page)
            @page = page
          end

          def aim = @page.inquiry.aim
          def papers = @page.opened.final
          def top = [@page.largest, aim.to * 2].max
          def from = @page.typed_or(:aim_from, aim.from)
          def to = @page.typed_or(:aim_to, aim.to)

          def usual
            Narrowing::Target::USUAL.map do |name, (from, to)|
              Usual.new(value: name, words: "#{name} #{number(from)}–#{number(to)}",
                        chosen: [aim.from, aim.to] == [from, to])
            end
          end
        end
      end
    end
  end
end
