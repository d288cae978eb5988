# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin verify FILE
      class Verify < Command
        SUMMARY = "Works out every number of an archive anew and says which agree"
        USAGE = "FILE"
        EXAMPLES = ["hobrin verify hobrin-1-archive.json"].freeze
        # More are not listed.
        MOST = 50
        private_constant :MOST

        private

        def run(path)
          verdict = Services::KeepArchive.verify(read(path))
          @out.puts verdict.question unless verdict.question.empty?
          verdict.faults.first(MOST).each { |fault| @out.puts "#{fault.path} #{fault.says}" }
          more = verdict.faults.size - MOST
          @out.puts "and #{more} more" if more.positive?
          @out.puts summary(verdict)
          verdict.sound?
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
