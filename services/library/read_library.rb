# frozen_string_literal: true

module Hobrin
  module Services
    # What the library holds, and what came into it.
    class ReadLibrary
      # papers, doubles, unindexed, headings :: numbers; years :: Hash of year to papers
      # imports :: Array of Store::Imports::Import, the last first; sample :: whether any is made up
      # sources :: Array of Store::Sources::Source; origins :: Hash of where papers are from, by the
      #   name of file or catalogue, to how many, the most first
      class Overview < Value
        attributes :papers, :doubles, :unindexed, :headings, :years, :imports, :sample, :sources,
                   :origins
      end

      def initialize(context)
        @context = context
      end

      # Gives an Overview.
      def call
        library = @context.library
        index = @context.evaluator.index
        years = index.sets(:year).transform_keys(&:to_i).transform_values(&:size).sort.to_h
        Overview.new(papers: @context.snapshot.size, sample: @context.snapshot.sample?, years:,
                     doubles: library.duplicates.count, unindexed: index.not_indexed.size,
                     headings: @context.thesaurus.headings.size, imports: library.imports.all,
                     sources: library.sources.all,
                     origins: library.origins.all(@context.snapshot.size))
      end

      # Array of Store::Thesauri::Kept.
      def thesauri = @context.library.thesauri.all

      # Array of Store::HeadingMatches::Match.
      def matches = @context.library.matches.all

      # Names of all headings, for choosing one.
      def headings = @context.thesaurus.headings.map(&:label).sort

      # Names that the thesaurus lacks, of one import: Hash of name to records.
      def strange(id) = @context.library.imports.headings(id)

      # Gives a Download: the entries of a file that were refused, with place and reason.
      # Raises GoneError.
      def refusals(id)
        import = @context.library.imports.find(id)
        rows = @context.library.imports.refusals(id).map do |refusal|
          [refusal.place, refusal.line,
           refusal.reason]
        end
        sheet = Exchange::Tables::Sheet.new(name: "Refused", columns: %w[Entry Line Reason],
                                            rows:)
        Download.new(name: "hobrin-refused-#{import.id}.csv", type: Exchange::Tables::Csv::TYPE,
                     body: Exchange::Tables::Csv.call(sheet))
      end
    end
  end
end
