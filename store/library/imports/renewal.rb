# frozen_string_literal: true

module Hobrin
  module Store
    # Writes records anew that their catalogue has changed since they came in. The day on which they
    # came stays.
    class Renewal
      def initialize(db)
        @db = db
      end

      # batch :: Batch of records as they are now, each known by its id. Gives how many changed.
      def call(batch)
        places = batch.ids.each_with_index.to_h
        numbers = @db[:records].where(Membership.of(:id, batch.ids)).select_map(:number)
        Rewriting.new(@db).call(numbers) do |before|
          batch.record(places.fetch(before.id)).with(added: before.added)
        end
      end
    end
  end
end
