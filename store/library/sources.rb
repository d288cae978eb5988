# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # The catalogues that can be asked or harvested.
      class Sources < Base
        # protocol :: "sru" or "oai"; version :: of SRU; format :: key of Catalogue::FORMATS or
        #   PREFIXES; ability :: Catalogue::Ability, nil for one that is only harvested; stand_in ::
        #   whether it is one of the made-up ones
        class Source < Value
          attributes :id, :name, :address, :protocol, :version, :format, :about, :ability,
                     :stand_in, :added_at,
                     :harvested_to

          def sru? = protocol == "sru"

          # What its records are called by here, before their own id.
          def key = Text::Tokens.line(name).tr(" ", "-")
        end

        def all = @db[:sources].order(:name).map { |row| source(row) }

        # Raises GoneError.
        def find(id) = source(@db[:sources].first(id:) || raise(GoneError, "catalogue"))

        def named(name) = @db[:sources].first(name:)&.then { |row| source(row) }

        # Adds one, or writes it anew by its name. Gives its Source. ability :: Catalogue::Ability or
        #   nil
        def write(ability: nil, **values)
          row = { **values, ability: ability && JSON.generate(ability.to_h) }
          Database::Trouble.told do
            @db[:sources].insert_conflict(target: :name,
                                          update: row.except(
                                            :name, :added_at
                                          )).insert(row)
          end
          named(values.fetch(:name))
        end

        # at :: an ISO day; what changes from then on is asked for next time
        def harvested(id, at) = Database::Trouble.told { @db[:sources].where(id:).update(harvested_to: at) }

        # Takes it off the list; what came from it stays.
        def remove(id) = Database::Trouble.told { @db[:sources].where(id:).delete }

        private

        def source(row)
          data = row[:ability] && JSON.parse(row[:ability], symbolize_names: true)
          data &&= { **data, indexes: data[:indexes].transform_keys(&:to_s) }
          Source.new(**row, ability: data && Catalogue::Ability.new(**data))
        end
      end
    end
  end
end
