# frozen_string_literal: true

require "rqrcode"

module Hobrin
  module Exchange
    class Report
      module Pictures
        # An address as a QR code (ISO/IEC 18004), to be read off a printed page.
        module Qr
          SIDE = 3
          # The quiet zone that the standard asks for.
          EDGE = 4
          private_constant :SIDE, :EDGE

          # address :: text. Gives a Picture.
          def self.of(address)
            rows = RQRCode::QRCode.new(address, level: :m).modules
            whole = (rows.size + (2 * EDGE)) * SIDE
            canvas = Canvas.new("The address of this page", whole, whole)
            rows.each_with_index do |row, down|
              runs(row).each do |from, length|
                canvas.box((from + EDGE) * SIDE, (down + EDGE) * SIDE, length * SIDE, SIDE, "solid")
              end
            end
            canvas.picture
          end

          # [first place, how many] of the dark runs in a row.
          def self.runs(row)
            row.each_with_index.chunk_while { |one, two| one.first == two.first }.filter_map do |run|
              [run.first.last, run.size] if run.first.first
            end
          end
          private_class_method :runs
        end
      end
    end
  end
end
