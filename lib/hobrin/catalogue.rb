# frozen_string_literal: true

module Hobrin
  # Catalogues that answer over open protocols: what one can do, what becomes of a search there, and
  # the messages of SRU (OASIS searchRetrieve 1.0, and SRU 1.2 before it) and OAI-PMH 2.0, read and
  # written. Nothing here talks to another machine.
  module Catalogue
    # The formats that records come in from a catalogue, by the short name that SRU gives them.
    FORMATS = { "mods" => :mods, "marcxml" => :marcxml, "dc" => :dc }.freeze
    # The same by the prefix of OAI-PMH.
    PREFIXES = { "mods" => :mods, "marcxml" => :marcxml, "marc21" => :marcxml, "oai_dc" => :dc }.freeze

    # One record that came as XML: a Records::Record, or a Refusal.
    #
    # text :: the record's own element; format :: a name of Exchange::FORMATS; place :: from 1
    def self.record(text, format:, place:)
      entry = Exchange::Entry.new(place:, line: nil, text:)
      result = nil
      Exchange.each(StringIO.new(text.b), format:) { |_, one| result ||= one }
      case result
      when Records::Record then result
      when Exchange::Entry::Refusal then result.with(place:)
      else Exchange::Entry::Refusal.of(entry, "this is no record of the kind that was asked for")
      end
    end
  end
end
