# frozen_string_literal: true

require "nokogiri"

module Hobrin
  module Exchange
    # Cuts a stream of XML into the elements of one name, each with all that is in it, so that a file
    # may be as large as it likes.
    class XmlEntries
      # name :: of the element, without its namespace; also what its parser calls one that is nested
      #   in another of the same name, which is part of the outer one
      def initialize(name)
        @name = name
      end

      # io :: read as bytes. Yields each Entry; for XML that breaks off, a last one that says why.
      def each(io)
        place = 0
        reader = Nokogiri::XML::Reader(io, nil, nil, Nokogiri::XML::ParseOptions::NONET)
        # Where an element has been read whole, the way goes on behind it, not into it.
        inside = nil
        reader.each do |node|
          refuse_type(node)
          next if inside && node.depth > inside

          inside = nil
          next unless node.node_type == Nokogiri::XML::Reader::TYPE_ELEMENT && node.local_name == @name

          inside = node.depth
          yield entry(place += 1, node.outer_xml)
        end
      rescue Nokogiri::XML::SyntaxError => e
        yield Entry.new(place: place + 1, line: nil, text: "",
                        reason: "the file is not XML from here on: #{e.message.lines.first.to_s.strip}")
      end

      private

      # A document type could name files and other machines, or grow without end.
      def refuse_type(node)
        return unless node.node_type == Nokogiri::XML::Reader::TYPE_DOCUMENT_TYPE

        raise InputError, { file: "This file brings a document type with it, which is not read." }
      end

      def entry(place, text)
        long = text.bytesize > Entry.longest
        Entry.new(place:, line: nil, text: long ? "" : text, reason: ("is longer than #{Entry.longest} bytes" if long))
      end
    end
  end
end
