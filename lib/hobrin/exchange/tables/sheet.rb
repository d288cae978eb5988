# frozen_string_literal: true

module Hobrin
  module Exchange
    module Tables
      # A table with numbers as numbers. name :: in words; columns :: Array of texts; rows :: Array
      # of Arrays of texts, Integers, Floats and nils
      class Sheet < Value
        attributes :name, :columns, :rows
      end
    end
  end
end
