# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What each of several sets alone adds to their union, in one pass: walking once with the union
    # of those seen and the records seen at least twice.
    module UniqueYield
      # sets :: Array of RecordSet. Gives an Array of RecordSet in the same order.
      def self.call(sets)
        once = Records::RecordSet.empty
        twice = Records::RecordSet.empty
        sets.each do |set|
          twice |= once & set
          once |= set
        end
        sets.map { |set| set - twice }
      end
    end
  end
end
