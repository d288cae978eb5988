# frozen_string_literal: true

module Hobrin
  module Exchange
    # RIS, the tagged format that reference managers share.
    module Ris
      NAME = "RIS"
      EXTENSION = "ris"
      TYPE = "application/x-research-info-systems"
    end
  end
end
