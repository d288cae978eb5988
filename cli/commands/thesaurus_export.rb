# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin thesaurus export FILE
      class ThesaurusExport < Command
        SUMMARY = "Writes the headings of the library as SKOS (Turtle)"
        USAGE = "FILE [OPTIONS]"
        EXAMPLES = ["hobrin thesaurus export headings.ttl"].freeze

        private

        def run(file)
          raise StateError, "#{file} is there already; it is left as it is." if ::File.exist?(file)

          thesaurus = context.library.thesaurus
          ::File.open(file, "w") { |io| Exchange::Skos::Writer.new.call(thesaurus, io, sample: context.library.sample?) }
          @out.puts "#{thesaurus.headings.size} headings in #{file}."
        end
      end
    end
  end
end
