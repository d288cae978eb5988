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
          return [missing.map { |name| Fault.new(path: name, says: "is not there") }, 0] if missing.any?

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
          place ? [Fault.new(path: "trail/#{place + 1}", says: "does not follow from the line before it")] : []
        end

        def seals
          sealed = @data["format"] == 1 ? PARTS : HEAD + PARTS
          now, written = [Seal.parts(@data.slice(*sealed)), @data["seals"]]
          return [Fault.new(path: "seals", says: "are not there")] unless written.is_a?(Hash)

          changed = (now.keys | written.keys).reject { |path| now[path] == written[path] }
          changed.map { |path| Fault.new(path:, says: said(path, now, written)) }
        end

        # One that is there must fit; one that is asked for must be there.
        def signature
          signed = @data["signature"]
          return [*(Fault.new(path: "signature", says: "is not there") if @key)] if signed.nil?
          return [Fault.new(path: "signature", says: "does not fit the seals")] unless Signature.fits?(signed, @data["seals"])

          @key && signed["key"] != @key ? [Fault.new(path: "signature", says: "is of another key")] : []
        end

        def said(path, now, written)
          return "was put in" unless written.key?(path)

          now.key?(path) ? "is not what was written" : "was taken out"
        end

        def numbers
          @agree = 0
          compared("numbers", Archive.plain(@anew.call), @data["numbers"])
        rescue StandardError
          # Whatever is in the file is somebody else's: what cannot be read is a fault of it.
          [Fault.new(path: "inquiry", says: "cannot be read, so that no number can be worked out")]
        end

        def compared(path, anew, written)
          case anew
          when Hash then hashes(path, anew, written)
          when Array then lists(path, anew, written)
          else single(path, anew, written)
          end
        end

        def hashes(path, anew, written)
          return [Fault.new(path:, says: "is not there")] unless written.is_a?(Hash)

          (anew.keys | written.keys).flat_map do |key|
            compared("#{path}/#{key}", anew[key], written[key])
          end
        end

        def lists(path, anew, written)
          return [Fault.new(path:, says: "has another length")] unless written.is_a?(Array) && written.size == anew.size

          anew.each_with_index.flat_map do |one, place|
            compared("#{path}/#{place + 1}", one, written[place])
          end
        end

        def single(path, anew, written)
          if same?(anew, written)
            @agree += 1 if anew.is_a?(Numeric)
            return []
          end
          [Fault.new(path:, says: "is written as #{written.inspect[0, 40]}, worked out anew as " \
                                  "#{anew.inspect[0, 40]}")]
        end

        def same?(one, two)
          return one == two unless one.is_a?(Float) && two.is_a?(Numeric)

          (one - two).abs <= NEAR * [1.0, one.abs].max
        end
      end
    end
  end
end
