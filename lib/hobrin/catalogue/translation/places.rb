# frozen_string_literal: true

module Hobrin
  module Catalogue
    class Translation
      # In which indexes of a catalogue the words of some fields are looked for, and how a clause
      # about them is written.
      class Places
        OWN = { title: %w[dc.title], abstract: %w[dc.description],
                keywords: %w[hobrin.keywords dc.subject],
                headings: %w[hobrin.headings dc.subject] }.freeze
        ALL = Strategy::TextTerm::FIELDS.keys.freeze
        # Hobrin's own index for the text of a paper, and the one for all of a record.
        TEXT = "hobrin.text"
        EVERYTHING = "cql.serverChoice"
        private_constant :OWN, :ALL, :TEXT, :EVERYTHING

        # indexes :: names, or [nil] for a word alone; fields :: what that comes to here; notes :: what
        #   was changed
        class Place < Value
          attributes :indexes, :fields, :notes
        end

        def initialize(ability)
          @ability = ability
        end

        # One index for all of the fields, or one for each; otherwise anywhere. Gives a Place.
        def of(fields)
          one = { Strategy::TextTerm::TEXT => TEXT, ALL => EVERYTHING }[fields]
          return Place.new(indexes: [one], fields:, notes: []) if one && @ability.index?(one)

          indexes = fields.map { |field| OWN.fetch(field).find { |name| @ability.index?(name) } }
          indexes.include?(nil) ? anywhere : each_in_its_own(indexes.uniq, fields)
        end

        private

        def each_in_its_own(indexes, fields)
          subjects = indexes.include?("dc.subject") ? %i[keywords headings] : []
          wider = ALL & (fields | subjects)
          notes = wider == fields ? [] : ["keywords and names of headings are one index there"]
          Place.new(indexes:, fields: wider, notes:)
        end

        def anywhere
          index = @ability.anywhere
          index = EVERYTHING if index == EVERYTHING.downcase
          Place.new(indexes: [index], fields: ALL, notes: ["looked for anywhere in the record"])
        end
      end
    end
  end
end
