# frozen_string_literal: true

module Hobrin
  module Exchange
    module Archive
      # Checks an archive: the chain of its trail, the fingerprint of every part, and every number
      # anew.
      class Check
        # path :: where in the file; says :: what does not agree
        class Fault < Value
          attributes :path, :says
        end

        NEAR = 1e-9
        PARTS = %w[inquiry trail records numbers].freeze
        # What stands before them; sealed from format 2 on.
        HEAD = %w[hobrin format sample made].freeze
        private_constant :NEAR, :PARTS, :HEAD

        # data :: as Archive.read gives it; key :: the public key, as Signature.public_key gives it,
        #   that must have signed it, nil for any. The block is given nothing and gives the numbers
        #   worked out anew.
        def initialize(data, key: nil, &anew)
          @data = data
          @key = key
          @anew = anew
        end

        # Gives [Array of Fault, how many numbers agree].
        def call
          missing = PARTS.reject { |name| @data[name].is_a?(Hash) || @data[name].is_a?(Array) }
          return [missing.map { |name| Fault.new(path: name, says: Book.t("exports.archive_check.missing")) }, 0] if missing.any?

          [[*trail, *seals, *signature, *numbers], @agree.to_i]
        end

        private

        # The first line whose fingerprint does not follow from the ones before it; what comes
        # after it cannot agree either.
        def trail
          lines = @data["trail"]
          bare = lines.map { |line| line.is_a?(Hash) ? line.except("seal") : {} }
          place = Seal.chained(bare).zip(lines).index do |made, line|
            made["seal"] != (line.is_a?(Hash) && line["seal"])
          end
          place ? [Fault.new(path: "trail/#{place + 1}", says: Book.t("exports.archive_check.not_following"))] : []
        end

        def seals
          sealed = @data["format"] == 1 ? PARTS : HEAD + PARTS
          now, written = [Seal.parts(@data.slice(*sealed)), @data["seals"]]
          return [Fault.new(path: "seals", says: Book.t("exports.archive_check.missing_several"))] unless written.is_a?(Hash)

          changed = (now.keys | written.keys).reject { |path| now[path] == written[path] }
          changed.map { |path| Fault.new(path:, says: said(path, now, written)) }
        end

        # One that is there must fit; one that is asked for must be there.
        def signature
          signed = @data["signature"]
          return [*(Fault.new(path: "signature", says: Book.t("exports.archive_check.missing")) if @key)] if signed.nil?
          return [Fault.new(path: "signature", says: Book.t("exports.archive_check.seals"))] unless Signature.fits?(signed, @data["seals"])

          @key && signed["key"] != @key ? [Fault.new(path: "signature", says: Book.t("exports.archive_check.other_key"))] : []
        end

        def said(path, now, written)
          return Book.t("exports.archive_check.added") unless written.key?(path)

          now.key?(path) ? Book.t("exports.archive_check.altered") : Book.t("exports.archive_check.removed")
        end

        def numbers
          @agree = 0
          compared("numbers", Archive.plain(@anew.call), @data["numbers"])
        rescue StandardError
          # Whatever is in the file is somebody else's: what cannot be read is a fault of it.
          [Fault.new(path: "inquiry", says: Book.t("exports.archive_check.unreadable"))]
        end

        def compared(path, anew, written)
          case anew
          when Hash then hashes(path, anew, written)
          when Array then lists(path, anew, written)
          else single(path, anew, written)
          end
        end

        def hashes(path, anew, written)
          return [Fault.new(path:, says: Book.t("exports.archive_check.missing"))] unless written.is_a?(Hash)

          (anew.keys | written.keys).flat_map do |key|
            compared("#{path}/#{key}", anew[key], written[key])
          end
        end

        def lists(path, anew, written)
          unless written.is_a?(Array) && written.size == anew.size
            return [Fault.new(path:,
                              says: Book.t("exports.archive_check.other_length"))]
          end

          anew.each_with_index.flat_map do |one, place|
            compared("#{path}/#{place + 1}", one, written[place])
          end
        end

        def single(path, anew, written)
          if same?(anew, written)
            @agree += 1 if anew.is_a?(Numeric)
            return []
          end
          [Fault.new(path:, says: Book.t("exports.archive_check.recalculated", written: written.inspect[0, 40], now: anew.inspect[0, 40]))]
        end

        def same?(one, two)
          return one == two unless one.is_a?(Float) && two.is_a?(Numeric)

          (one - two).abs <= NEAR * [1.0, one.abs].max
        end
      end
    end
  end
end
