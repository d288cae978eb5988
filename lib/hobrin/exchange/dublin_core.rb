# frozen_string_literal: true

module Hobrin
  module Exchange
    # The fifteen elements of Dublin Core (ISO 15836-1) as XML, in either of the wrappers that are
    # in use: that of OAI-PMH and that of SRU. The least that every catalogue gives.
    module DublinCore
      NAME = "Dublin Core"
      EXTENSION = "dc"
      TYPE = "application/xml"
      NAMESPACE = "http://purl.org/dc/elements/1.1/"
      OAI = "http://www.openarchives.org/OAI/2.0/oai_dc/"
      SRW = "info:srw/schema/1/dc-schema"
      SCHEMA = "dc"
      SCHEMA_URI = "info:srw/schema/1/dc-v1.1"

      Entries = XmlEntries.new("dc")
    end
  end
end
