# frozen_string_literal: true

module Hobrin
  module Exchange
    # How much one record may hold, whatever the format it comes in: far more than any paper has,
    # and little enough that no page or search stumbles over it.
    module Bounds
      # Letters of a text, and of each text of a list.
      LETTERS = { id: 500, title: 3_000, abstract: 60_000, journal: 1_000, doi: 500, volume: 200,
                  issue: 200, pages: 200, country: 200, language: 200, published: 20,
                  added: 20 }.freeze
      EACH = 1_000
      # Texts of a list.
      MOST = { authors: 5_000, keywords: 500, headings: 500, cites: 10_000, links: 100, types: 50,
               ages: 50, sex: 10, species: 10, flags: 50 }.freeze
      private_constant :LETTERS, :EACH, :MOST

      # Raises InputError (:file) for a record that holds more; otherwise gives it.
      def self.check(record)
        LETTERS.each do |name, most|
          too_much(Book.t("exports.entry.long_field", field: name, most:)) if record.public_send(name).to_s.size > most
        end
        MOST.each do |name, most|
          list = record.public_send(name)
          too_much(Book.t("exports.entry.many", most:, field: name)) if list.size > most
          long = list.any? { |item| size(item) > EACH }
          too_much(Book.t("exports.entry.one_long", field: name, most: EACH)) if long
        end
        record
      end

      def self.size(one)
        case one
        when String then one.size
        when Records::Author then one.family.to_s.size + one.given.to_s.size + one.suffix.to_s.size
        when Records::Indexing
          one.label.size + one.aspects.sum(&:size) + one.stands_for.sum { |part| size(part) }
        end
      end

      def self.too_much(message) = raise(InputError, { file: message })
      private_class_method :size, :too_much
    end
  end
end
