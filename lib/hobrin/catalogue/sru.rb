# frozen_string_literal: true

module Hobrin
  module Catalogue
    # Search/Retrieve via URL, versions 1.2 and 2.0.
    module Sru
    end
  end
end
