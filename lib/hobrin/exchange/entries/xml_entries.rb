# frozen_string_literal: true

module Hobrin
  module Exchange
    # Cuts a stream of XML into the elements of one name by their tags, and leaves what is in them
    # to the reader: a file may be as large as it likes, and what is wrong in one element spoils no
    # other. What the first element of the file says of namespaces is given to each.
    class XmlEntries
      PIECE = 64 * 1024
      # A document type could name files and other machines, or grow without end.
      TYPE = /<!DOCTYPE/i
      NAMESPACES = /\sxmlns:[\w.-]+\s*=\s*(?:"[^"<>]*"|'[^'<>]*')/
      private_constant :PIECE, :TYPE, :NAMESPACES

      # name :: of the element, without its namespace. Where one stands in another of the same name,
      #   the inner one is meant.
      def initialize(name)
        @first = /<(?:[\w.-]+:)?#{name}(?=[\s>])/n
        @last = %r{</(?:[\w.-]+:)?#{name}\s*>}n
      end

      # io :: read as bytes, from its beginning. Yields each Entry; a last one says when the file
      #   breaks off inside an element. Raises InputError (:file) for a document type.
      def each(io)
        place = 0
        spaces = nil
        rest = pieces(Lines.plain(io)) do |element, before|
          spaces ||= namespaces(before + element)
          yield entry(place += 1, element, spaces)
        end
        yield entry(place + 1, "", [], "the file ends inside this entry") if rest.match?(@first)
      end

      private

      # Yields each element with what stands before it. Gives what is left at the end.
      def pieces(io)
        text = +"".b
        while (piece = io.read(PIECE))
          text << piece.b
          while (last = text.match(@last))
            before, element = cut(last.pre_match)
            yield element && (element + last[0]), before
            text = last.post_match
          end
          text = text.byteslice(-PIECE, PIECE) if text.bytesize > Entry.longest * 2
        end
        text
      end

      # What stands before the last beginning, and from there on; nil where there is no beginning.
      def cut(text)
        at = text.rindex(@first)
        at ? [text[0...at], text[at..]] : [text, nil]
      end

      def namespaces(text)
        raise InputError,
              { file: "This file brings a document type with it, which is not read." } if text.match?(TYPE)

        text.scan(NAMESPACES).uniq
      end

      def entry(place, element, spaces, reason = nil)
        reason ||= "its beginning is missing, or it is longer than #{Entry.longest} bytes" if element.nil?
        reason ||= "is longer than #{Entry.longest} bytes" if element.bytesize > Entry.longest
        Entry.new(place:, line: nil, text: reason ? "" : declared(element, spaces), reason:)
      end

      # The element with those namespaces that it does not declare itself.
      def declared(element, spaces)
        tag = element[/\A<[^>]*/n]
        missing = spaces.reject { |space| tag.include?(space[/xmlns:[\w.-]+/]) }
        missing.empty? ? element : element.sub(@first) { |found| found + missing.join }
      end
    end
  end
end
