# frozen_string_literal: true

require "strscan"

module Hobrin
  module Exchange
    # Cuts a stream of XML into the elements of one name by their tags, and leaves what is in them
    # to the reader: a file may be as large as it likes, and what is wrong in one element spoils no
    # other. What the first element of the file says of namespaces is given to each.
    class XmlEntries
      PIECE = 64 * 1024
      # A document type could name files and other machines, or grow without end. It stands before the
      # first element, where comments and instructions may stand, too.
      BEFORE = /\s+|<\?.*?\?>|<!--.*?-->/mn
      TYPE = /<!DOCTYPE/in
      NAMESPACES = /\sxmlns:[\w.-]+\s*=\s*(?:"[^"<>]*"|'[^'<>]*')/
      NO_BEGINNING = "its beginning is missing"
      NO_END = "its end is missing"
      private_constant :PIECE, :BEFORE, :TYPE, :NAMESPACES, :NO_BEGINNING, :NO_END

      # name :: of the element, without its namespace. Where one stands in another of the same name,
      #   the inner one is meant.
      def initialize(name)
        @first = /<(?:[\w.-]+:)?#{name}(?=[\s>])/n
        @last = %r{</(?:[\w.-]+:)?#{name}\s*>}n
      end

      # io :: read as bytes, from its beginning. Yields each Entry; what no entry could be made of is
      # one with a reason. Raises InputError (:file) for a document type.
      def each(io)
        place = 0
        spaces = nil
        pieces(Lines.plain(io)) do |element, before, why|
          spaces ||= namespaces(before.to_s + element.to_s)
          yield unread(place += 1, before, why || NO_END) if why || before.match?(@first)
          yield element ? entry(place += 1, element, spaces) : unread(place += 1, before, NO_BEGINNING) unless why
        end
      end

      private

      # Yields each element with what stands before it, or what stands there without an element, and
      # why.
      def pieces(io)
        text = +"".b
        while (piece = io.read(PIECE))
          text << piece.b
          while (last = text.match(@last))
            before, element = cut(last.pre_match)
            text = last.post_match
            yield element && (element + last[0]), before
          end
          next if text.bytesize <= Entry.longest * 2

          yield nil, text.byteslice(0...-PIECE), "it is longer than #{Entry.longest} bytes"
          text = text.byteslice(-PIECE, PIECE)
        end
        yield nil, text, "the file ends inside this entry" if text.match?(@first)
      end

      # What stands before the last beginning, and from there on; nil where there is no beginning.
      def cut(text)
        at = text.rindex(@first)
        at ? [text[0...at], text[at..]] : [text, nil]
      end

      def namespaces(text)
        raise InputError, { file: "This file brings a document type with it, which is not read." } if typed?(text)

        text.scan(NAMESPACES).uniq
      end

      def typed?(text)
        scanner = StringScanner.new(text.delete_prefix("\xEF\xBB\xBF".b))
        nil while scanner.skip(BEFORE)
        scanner.match?(TYPE)
      end

      def entry(place, element, spaces)
        reason = "is longer than #{Entry.longest} bytes" if element.bytesize > Entry.longest
        Entry.new(place:, line: nil, text: reason ? "" : declared(element, spaces), reason:)
      end

      def unread(place, text, why)
        Entry.unread(place:, line: nil, bytes: text.bytesize, likely: text.scan(@first).size, why:)
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
