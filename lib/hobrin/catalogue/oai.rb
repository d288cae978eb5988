# frozen_string_literal: true

module Hobrin
  module Catalogue
    # The Open Archives Initiative Protocol for Metadata Harvesting, version 2.0.
    module Oai
      NAMESPACE = "http://www.openarchives.org/OAI/2.0/"
    end
  end
end
