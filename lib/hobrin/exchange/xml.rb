# frozen_string_literal: true

require "nokogiri"
require "strscan"

module Hobrin
  module Exchange
    # XML from outside, read without fetching anything and without entities; and XML written as
    # text.
    module Xml
      # Control characters, which no XML may hold.
      FORBIDDEN = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/
      SIGNS = { "&" => "&amp;", "<" => "&lt;", ">" => "&gt;", "\"" => "&quot;" }.freeze
      # It would name an encoding that the text no longer has.
      DECLARATION = /\A\uFEFF?\s*<\?xml[^>]*\?>/
      private_constant :SIGNS, :DECLARATION

      class << self
        # text :: a whole document, as bytes or text. Gives its root element, without namespaces to
        #   care for when `plain`. Raises InputError (:file) for what is no XML, or brings a
        #   document type.
        def root(text, plain: true)
          document = Nokogiri::XML(Lines::Utf8.of(text).sub(DECLARATION,
                                                            "")) { |options| options.nonet.strict }
          refuse(Book.t("exports.entry.doctype")) if document.internal_subset
          refuse(Book.t("exports.entry.empty")) unless document.root
          document.remove_namespaces! if plain
          document.root
        rescue Nokogiri::XML::SyntaxError => e
          refuse(Book.t("exports.entry.not_xml", error: e.message.lines.first.to_s.strip[0, 200]))
        end

        # An element as text. content :: String of markup, or what `text` gives
        def tag(name, content = "", **attributes)
          said = attributes.compact.map { |key, value| " #{key}=\"#{text(value)}\"" }.join
          "<#{name}#{said}>#{content}</#{name}>"
        end

        # Writes elements one by one into a document of their own.
        def stream(elements, out, name, namespace = nil)
          out << "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<#{name}#{" xmlns=\"#{namespace}\"" if namespace}>\n"
          elements.each { |element| out << element << "\n" }
          out << "</#{name}>\n"
        end

        # The same for a value that is text; "" for none.
        def value(name, value, **attributes)
          value.to_s.empty? ? "" : tag(name, text(value), **attributes)
        end

        # Text as it may stand in XML.
        def text(value) = value.to_s.gsub(FORBIDDEN, "").gsub(/[&<>"]/, SIGNS)

        # What stands in the first of several elements, without white space around it; nil for none.
        def said(node, path)
          found = node.at_xpath(path)&.text.to_s.gsub(/\s+/, " ").strip
          found unless found.empty?
        end

        # The same for all of them.
        def all(node, path)
          node.xpath(path).map do |found|
            found.text.gsub(/\s+/,
                            " ").strip
          end.reject(&:empty?)
        end

        private

        def refuse(words) = raise(InputError, { file: words })
      end

      # Cuts a stream of XML into the elements of one name by their tags, and leaves what is in them
      # to the reader: a file may be as large as it likes, and what is wrong in one element spoils no
      # other. What the first element of the file says of namespaces is given to each.
      class Entries
        PIECE = 64 * 1024
        # A document type could name files and other machines, or grow without end. It stands before the
        # first element, where comments and instructions may stand, too.
        BEFORE = /\s+|<\?.*?\?>|<!--.*?-->/mn
        TYPE = /<!DOCTYPE/in
        NAMESPACES = /\sxmlns:[\w.-]+\s*=\s*(?:"[^"<>]*"|'[^'<>]*')/
        NO_BEGINNING = Book.t("exports.entry.no_beginning")
        NO_END = Book.t("exports.entry.no_end")
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

            yield nil, text.byteslice(0...-PIECE), Book.t("exports.entry.too_long_it", bytes: Entry.longest)
            text = text.byteslice(-PIECE, PIECE)
          end
          yield nil, text, Book.t("exports.entry.ends_inside") if text.match?(@first)
        end

        # What stands before the last beginning, and from there on; nil where there is no beginning.
        def cut(text)
          at = text.rindex(@first)
          at ? [text[0...at], text[at..]] : [text, nil]
        end

        def namespaces(text)
          raise InputError, { file: Book.t("exports.entry.file_doctype") } if typed?(text)

          text.scan(NAMESPACES).uniq
        end

        def typed?(text)
          scanner = StringScanner.new(text.delete_prefix("\xEF\xBB\xBF".b))
          nil while scanner.skip(BEFORE)
          scanner.match?(TYPE)
        end

        def entry(place, element, spaces)
          reason = Book.t("exports.entry.too_long", bytes: Entry.longest) if element.bytesize > Entry.longest
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
end
