# frozen_string_literal: true

module Hobrin
  module Exchange
    # MARC 21 bibliographic records as XML (Library of Congress, MARCXML schema 1.2), as catalogues
    # of libraries give them.
    module Marcxml
      NAME = "MARCXML"
      EXTENSION = "marcxml"
      TYPE = "application/marcxml+xml"
      NAMESPACE = "http://www.loc.gov/MARC21/slim"
      # Short name and identifier of its schema in SRU.
      SCHEMA = "marcxml"
      SCHEMA_URI = "info:srw/schema/1/marcxml-v1.1"

      Entries = XmlEntries.new("record")
    end
  end
end
