# frozen_string_literal: true

require "set"

module Hobrin
  module Demo
    # Keeps the titles of made-up papers apart: one that was used gets the name of a made-up study
    # behind it, or the country that an opinion is from.
    class Titles
      STUDIES = %w[Lantern Heron Harbour Thistle Compass Juniper Ferry Swallow Amber Meadow Beacon Kestrel Willow Pebble
                   Orchard Tide Copper Linden Marsh Violet Summit Clover Drift Ember Fjord Grove Haven Island Jasper
                   Kite Ledger Mirror Nectar Otter Plover Quarry Raven Saffron Tern Umber].freeze
      RESEARCH = "research article"
      private_constant :STUDIES, :RESEARCH

      def initialize
        @seen = Set.new
      end

      # record :: Record; place :: its number, which chooses the name. Gives the record, perhaps
      #   under another title.
      def apart(record, place)
        endings = record.flags.include?(RESEARCH) ? names(place) : [": a view from #{record.country}", *names(place)]
        # Its own id, when a very large library has used all names.
        titles = ["", *endings, " (paper #{record.id[/\w+\z/]})"].map { |ending| record.title + ending }
        title = titles.find { |title| @seen.add?(title.downcase) }
        title == record.title ? record : record.with(title:)
      end

      private

      def names(place)
        STUDIES.rotate(place).map { |name| " (the #{name} study)" } + [" (the #{STUDIES[place % STUDIES.size]} study of #{place})"]
      end
    end
  end
end
