# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin verify FILE
      class Verify < Command
        SUMMARY = "Works out every number of an archive anew and says which agree"
        USAGE = "FILE"
        EXAMPLES = ["hobrin verify hobrin-1-archive.json",
                    "hobrin verify --key MCowBQYDK2VwAyEA… hobrin-1-archive.json"].freeze
        # More are not listed.
        MOST = 50
        private_constant :MOST

        private

        def options(parser)
          parser.on("--key KEY", "The public key that must have signed it, from /health of the installation, or a file " \
                                 "that holds it") { |key| given[:key] = ::File.file?(key) ? ::File.read(key).strip : key }
        end

        def run(path)
          verdict = Services::Archives.verify(read(path), key: given[:key])
          @out.puts verdict.question unless verdict.question.empty?
          verdict.faults.first(MOST).each { |fault| @out.puts "#{fault.path} #{fault.says}" }
          more = verdict.faults.size - MOST
          @out.puts "and #{more} more" if more.positive?
          @out.puts signed(verdict)
          @out.puts "It was written by an earlier Hobrin, whose rules for some numbers were others: see CHANGELOG." if verdict.format == 1
          @out.puts summary(verdict)
          verdict.sound?
        end

        # What the signature tells, and what it does not.
        def signed(verdict)
          return "It is not signed: if somebody remade every seal, that cannot be told." unless verdict.key
          return "It is signed with the key that you named." if given[:key] == verdict.key

          "It is signed with the key #{Exchange::Archive::Signature.fingerprint(verdict.key)}. " \
            "Compare it with /health of the installation, or give --key: anybody can sign with a key of their own."
        end

        def summary(verdict)
          return "#{verdict.agree} numbers worked out anew, all agree; nothing was changed." if verdict.sound?

          "#{verdict.faults.size} places do not agree; #{verdict.agree} numbers do."
        end

        def read(path)
          raise InputError, { file: "there is no file #{path}" } unless ::File.file?(path)

          size = ::File.size(path)
          raise InputError, { file: "#{path} is too large" } if size > Exchange::Archive::LARGEST

          ::File.read(path, encoding: "UTF-8")
        end
      end
    end
  end
end
