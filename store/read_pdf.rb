# frozen_string_literal: true

# A program of its own, started by Hobrin::Store::PdfText: reads a PDF and prints its text as JSON,
# or why it is refused.
require "bundler/setup"
require "json"
require "pdf-reader"

MOST_PAGES = 80
MOST_LETTERS = 400_000
# Keys of a PDF's objects by which it runs something or starts another program.
ACTIVE = %i[JS JavaScript Launch].freeze

def active?(value)
  case value
  when Hash then value.any? do |key, part|
    ACTIVE.include?(key) || (key == :S && ACTIVE.include?(part)) || active?(part)
  end
  when Array then value.any? { |part| active?(part) }
  else false
  end
end

# Lines of one paragraph are joined; a short line without an end, such as a heading, stays one.
def joined(text)
  lines = text.gsub(/[ \t]+/, " ").lines.map(&:strip).reject(&:empty?)
  lines.map { |line| line.match?(/\A\p{Lu}[\p{L} ]{2,38}\z/) ? "\n#{line}\n" : "#{line} " }.join
end

def answer(path)
  reader = PDF::Reader.new(path)
  return { refused: "scripts" } if reader.objects.any? { |_, object| active?(object) }

  text = reader.pages.first(MOST_PAGES).map(&:text).join("\n\n")
  { text: joined(text.encode("UTF-8", invalid: :replace, undef: :replace))[0, MOST_LETTERS] }
rescue PDF::Reader::EncryptedPDFError
  { refused: "encrypted" }
rescue PDF::Reader::MalformedPDFError, PDF::Reader::InvalidObjectError,
       PDF::Reader::UnsupportedFeatureError, ArgumentError, TypeError, NoMethodError, RangeError,
       Zlib::Error, KeyError
  { refused: "broken" }
end

print JSON.generate(answer(ARGV.fetch(0)))
