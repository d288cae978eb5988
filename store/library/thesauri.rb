# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # The thesauri that came into the library. One of them is in use: its headings stand in the
      # tables that are looked up in; the others are kept as documents.
      class Thesauri < Base
        # came_at :: ISO 8601, nil where that is not known; headings :: how many
        class Kept < Value
          attributes :id, :name, :headings, :came_at, :in_use
        end

        # Array of Kept, in the order in which they came.
        def all
          @db[:thesauri].order(:id).select(:id, :name, :headings, :came_at, :in_use).map do |row|
            Kept.new(**row)
          end
        end

        # Keeps one and takes it into use; one of the same name goes for it. at :: ISO 8601 or nil
        def keep(thesaurus, name:, at:)
          @db[:thesauri].where(name:).delete
          document = JSON.generate(thesaurus.headings.map(&:to_h))
          id = @db[:thesauri].insert(name:, headings: thesaurus.headings.size, came_at: at, document:)
          take(id, thesaurus)
        end

        # Keeps the headings that are in use as the first thesaurus, where there are any.
        def keep_first
          headings = HeadingRows.new(@db).read
          keep(headings, name: Book.t("errors.library.thesaurus_so_far"), at: nil) if headings.headings.any?
        end

        # Takes another into use. Raises GoneError.
        def use(id)
          document = @db[:thesauri].where(id:).get(:document) or raise GoneError, "thesaurus"
          headings = JSON.parse(document, symbolize_names: true).map do |heading|
            Thesaurus::Heading.new(**heading)
          end
          take(id, Thesaurus.new(headings, checked: true))
        end

        private

        def take(id, thesaurus)
          HeadingRows.new(@db).write(thesaurus)
          @db[:thesauri].update(in_use: Sequel.lit("id = ?", id))
        end

        # The thesaurus in and out of its tables.
        class HeadingRows < Base
          KINDS = { also_called: "also_called", broader: "broader", related: "related", aspects: "aspect",
                    use_instead: "use_instead" }.freeze
          private_constant :KINDS

          def read
            names = @db[:heading_names].order(:label, :kind, :place).select_map(%i[label kind name])
                                       .group_by { |label, kind, _| [label, kind] }
            headings = @db[:headings].all.map do |row|
              lists = KINDS.transform_values { |kind| names.fetch([row[:label], kind], []).map(&:last) }
              Thesaurus::Heading.new(label: row[:label],
                                     **row.slice(:definition, :added, :uri, :notation), **lists)
            end
            Thesaurus.new(headings, checked: true)
          end

          def write(thesaurus)
            @db[:headings].delete
            rows = thesaurus.headings.map do |heading|
              heading.to_h.slice(:label, :definition, :added, :uri, :notation)
            end
            @db[:headings].multi_insert(rows)
            @db[:heading_names].multi_insert(thesaurus.headings.flat_map { |heading| name_rows(heading) })
          end

          private

          def name_rows(heading)
            KINDS.flat_map do |list, kind|
              heading.public_send(list).each_with_index.map do |name, place|
                { label: heading.label, kind:, place:, name: }
              end
            end
          end
        end
      end
    end
  end
end
