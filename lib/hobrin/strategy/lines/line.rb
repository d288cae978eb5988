# frozen_string_literal: true

module Hobrin
  module Strategy
    # An earlier line of the trail, by its name; `Lines` puts the tree in its place.
    class Line < Expression
      attributes :name
    end
  end
end
