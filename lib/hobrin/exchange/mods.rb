# frozen_string_literal: true

module Hobrin
  module Exchange
    # MODS, the Metadata Object Description Schema (Library of Congress, version 3.8).
    module Mods
      NAME = "MODS"
      EXTENSION = "mods"
      TYPE = "application/mods+xml"
      NAMESPACE = "http://www.loc.gov/mods/v3"
      SCHEMA = "mods"
      SCHEMA_URI = "info:srw/schema/1/mods-v3.8"

      # What marks a subject as a main topic, and who names our headings.
      MAIN = "main topic"
      AUTHORITY = "local"
      private_constant :MAIN, :AUTHORITY

      Entries = XmlEntries.new("mods")
    end
  end
end
