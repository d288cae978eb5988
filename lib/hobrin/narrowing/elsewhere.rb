# frozen_string_literal: true

module Hobrin
  module Narrowing
    # A search as another catalogue was asked it.
    #
    # source :: its name; address, protocol :: of it; lines :: Array of Line as sent; query :: the
    #   whole as sent; count :: records found there; on :: ISO day; import_id :: of what was brought
    #   in from it, nil for nothing
    class Elsewhere < Value
      attributes :source, :address, :protocol, :lines, :query, :count, :on, :import_id

      # name :: in words; text :: as it was sent; count :: records that it finds there, nil where that
      #   was not asked; by_hand :: whether a person wrote the text
      class Line < Value
        attributes :name, :text, :count, :by_hand
      end
    end
  end
end
