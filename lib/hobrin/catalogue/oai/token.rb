# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Oai
      # Where a harvest goes on: all that was asked, and the number behind which it goes on, in one
      # text that needs no memory here.
      #
      # prefix :: format; from, till :: dates or nil; after :: number of the last record given
      class Token < Value
        attributes :prefix, :from, :till, :after

        SHAPE = /\A(\w{2,10})!([\d:TZ-]{0,20})!([\d:TZ-]{0,20})!(\d{1,15})\z/
        private_constant :SHAPE

        # text :: as it was given out. Gives nil for any other.
        def self.read(text)
          match = SHAPE.match(text.to_s) or return
          from, till = [match[2], match[3]].map { |date| date unless date.empty? }
          new(prefix: match[1], from:, till:, after: match[4].to_i)
        end

        def to_s = [prefix, from, till, after].join("!")
      end
    end
  end
end
