# frozen_string_literal: true

module Hobrin
  module Store
    # What all inquiries share.
    module House
      # What holds for the whole house, each setting by its name.
      class Settings < Base
        # "" when it was never set.
        def [](name) = @db[:settings].where(name:).get(:value).to_s

        def put(name, value)
          replacing = @db[:settings].insert_conflict(target: :name, update: { value: })
          Database::Trouble.told { replacing.insert(name:, value:) }
        end
      end

      # Study filters that people here wrote and named, as CQL.
      class OwnFilters < Base
        # title :: its name; terms :: CQL
        class Kept < Value
          attributes :title, :terms
        end

        # Array of Kept, by name.
        def all = @db[:own_filters].order(:title).map { |row| Kept.new(**row.slice(:title, :terms)) }

        def kept?(title) = !@db[:own_filters].where(title:).empty?

        # Keeps one, in the place of one of the same name.
        def keep(title, terms, at:)
          replacing = @db[:own_filters].insert_conflict(target: :title, update: { terms:, at: })
          Database::Trouble.told { replacing.insert(title:, terms:, at:) }
        end

        # Raises GoneError.
        def remove(title)
          raise GoneError, "filter" if Database::Trouble.told { @db[:own_filters].where(title:).delete }.zero?
        end
      end

      # Papers that came with an archive and are not in the library: they stay with their inquiry.
      class OwnRecords < Base
        # items :: Hash of each paper's id to its CSL-JSON as plain data
        def keep(inquiry_id, items)
          rows = items.map { |record_id, item| { inquiry_id:, record_id:, csl: JSON.generate(item) } }
          Database::Trouble.writing(@db) { @db[:inquiry_records].multi_insert(rows) }
        end

        # Array of Records::Record.
        def of(inquiry_id) = items(inquiry_id).map { |item| Exchange::CslJson::Reader.kept(item) }

        # The same as CSL-JSON, as plain data.
        def items(inquiry_id)
          @db[:inquiry_records].where(inquiry_id:).order(:record_id).select_map(:csl).map { |csl| JSON.parse(csl) }
        end

        # Lets the papers of an inquiry go, once the library has them.
        def forget(inquiry_id) = Database::Trouble.told { @db[:inquiry_records].where(inquiry_id:).delete }
      end

      # Changes of what all inquiries share, with what stood there before, so that each can be undone.
      class Changes < Base
        # kind :: "resolver", "filter" or "pdf"; key :: what of that kind; ward_id :: of a full text that
        #   one ward keeps, nil for everybody; was :: what stood there before, nil for nothing;
        #   undone_at :: nil while it holds
        class Change < Value
          attributes :id, :at, :who, :kind, :key, :ward_id, :was, :undone_at, :undone_by
        end

        # Gives the id.
        def add(kind, key, was:, at:, who:, ward_id: nil)
          Database::Trouble.told { @db[:house_changes].insert(kind:, key:, ward_id:, was:, at:, who:) }
        end

        # The last ones, the last first.
        def last(limit) = @db[:house_changes].reverse(:id).limit(limit).map { |row| Change.new(**row) }

        # One that holds. Raises GoneError.
        def find(id)
          row = @db[:house_changes].first(id:, undone_at: nil) or raise GoneError, "change"
          Change.new(**row)
        end

        def undone(id, at:, by:)
          Database::Trouble.told { @db[:house_changes].where(id:).update(undone_at: at, undone_by: by) }
        end
      end
    end
  end
end
