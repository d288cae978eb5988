# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The headings of the sample library, from thesaurus.yml.
    module SampleThesaurus
      FILE = File.expand_path("thesaurus.yml", __dir__)
      private_constant :FILE

      # Gives an Array of Thesaurus::Heading.
      def self.headings
        YAML.safe_load_file(FILE).map do |row|
          Thesaurus::Heading.new(label: row["label"], also_called: row.fetch("also", []), definition: row["what"],
                                 broader: row.fetch("under", []), related: row.fetch("see", []),
                                 aspects: row.fetch("aspects", []), added: row["added"])
        end
      end
    end
  end
end
