# frozen_string_literal: true

module Hobrin
  # Records in and out of open formats. No stage knows them.
  #
  # Reading goes entry by entry, so that a file may be as large as it likes and one bad entry spoils
  # no other. Each format has Entries (cuts a stream into entries), Reader (one entry to a Record)
  # and Writer.
  module Exchange
    SAMPLE_NOTE = "Made-up sample record of Hobrin: nobody and nothing in it is real."

    FORMATS = { csl: CslJson, ris: Ris, bibtex: Bibtex, marcxml: Marcxml, mods: Mods, dc: DublinCore }.freeze
    # What tells one kind of XML from another, beside the beginning.
    KINDS_OF_XML = { Marcxml::NAMESPACE => :marcxml, Mods::NAMESPACE => :mods, DublinCore::NAMESPACE => :dc }.freeze
    private_constant :KINDS_OF_XML

    class << self
      # sample :: the first bytes of a file. Gives a name of FORMATS, or nil; a guess from the text
      #   alone.
      def detect(sample)
        text = Lines::Utf8.of(sample).delete_prefix("\u{FEFF}").lstrip
        return :csl if text.start_with?("[", "{")
        return :ris if text.match?(/^TY {1,2}-/)
        return KINDS_OF_XML.find { |namespace, _| text.include?(namespace) }&.last if text.start_with?("<")

        :bibtex if text.match?(/^\s*@\s*\w+\s*[{(]/)
      end

      # Reads records one by one.
      #
      # io :: read as bytes, from its beginning; format :: a name of FORMATS; skip :: entries at the
      #   front to pass over; only :: tells by a place whether that entry is wanted
      # Yields each entry's place from 1, and its Record, or a Refusal that says why there is none.
      def each(io, format:, skip: 0, only: ->(_place) { true })
        reader = FORMATS.fetch(format)::Reader.new
        FORMATS.fetch(format)::Entries.each(io) do |entry|
          wanted = entry.place > skip && only[entry.place]
          next unless wanted || reader.needs?(entry)

          result = entry.reason ? Entry::Refusal.of(entry, entry.reason) : record(reader, entry)
          yield entry.place, result if result && wanted
        end
      end

      # All of a text at once: [Array of Record, Array of Refusal].
      def read(text, format:)
        results = []
        each(StringIO.new(text.b), format:) { |_, result| results << result }
        results.partition { |result| result.is_a?(Records::Record) }
      end

      private

      def record(reader, entry)
        record = reader.call(entry.value || Lines::Utf8.of(entry.text))
        record && Bounds.check(record)
      rescue NoMethodError, TypeError, KeyError, EncodingError, RangeError
        Entry::Refusal.of(entry, "a field is not of the kind it should be")
      rescue SystemStackError
        Entry::Refusal.of(entry, "it is nested too deep")
      rescue InputError, ArgumentError => e
        Entry::Refusal.of(entry, e.message)
      end
    end
  end
end
