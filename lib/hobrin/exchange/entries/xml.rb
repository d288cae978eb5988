# frozen_string_literal: true

require "nokogiri"

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
          document = Nokogiri::XML(Utf8.of(text).sub(DECLARATION,
                                                     "")) { |options| options.nonet.strict }
          refuse("It brings a document type with it, which is not read.") if document.internal_subset
          refuse("There is nothing in it.") unless document.root
          document.remove_namespaces! if plain
          document.root
        rescue Nokogiri::XML::SyntaxError => e
          refuse("It is not XML that hangs together: #{e.message.lines.first.to_s.strip[0, 200]}")
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
          node.xpath(path).map do |one|
            one.text.gsub(/\s+/,
                          " ").strip
          end.reject(&:empty?)
        end

        private

        def refuse(words) = raise(InputError, { file: words })
      end
    end
  end
end
