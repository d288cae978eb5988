# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # What is offered while a person types into the entry line of a block.
        class Offers
          include Formatting

          WAYS = %i[ranked contains begins].freeze
          private_constant :WAYS

          # One part of how the typing was read: choices :: for a select
          class Part < Value
            attributes :text, :choices
          end

          # offer :: Retrieval::TermOffers::Offer; look :: the address of its card, nil for what has
          #   none
          class Row < Value
            attributes :offer, :look
          end

          # The key of the block that is typed into.
          attr_reader :block

          # context :: Services::Context; id :: of the inquiry; fields :: Fields
          def initialize(context:, id:, block:, fields:)
            @id = id
            @block = block
            @fields = fields
            offer = Services::Terms::Offer.new(context)
            @offers, @parts = offer.call(@id, block, typed, way:)
            @entry = offer.entry(@id, block, typed)
            freeze
          end

          def typed = @fields.text(:typed)
          def typed? = !typed.strip.empty?
          def path = "/inquiries/#{@id}/offers?block=#{block}"

          def ways = WAYS.map { |key| [key, Book.t("terms.offers.way.#{key}"), key == way] }

          def rows
            @offers.map { |offer| Row.new(offer:, look: (look(offer) if offer.heading?)) }
          end

          def several_headings? = @offers.count(&:heading?) > 1

          # How Enter would read what was typed.
          def parts
            @parts.map do |part|
              text = part.text
              heading = ["heading:#{part.label}", heading_words(part), true] if part.kind == :heading
              words = ["words:#{text}", Book.t("terms.offers.as_words", words: text.downcase), false]
              nothing = ["leave:", Book.t("terms.offers.as_nothing", words: text), false]
              Part.new(text:, choices: [heading, words, nothing].compact)
            end
          end

          # What Enter does with operators: words, and the texts that may be meant instead.
          def operators
            return if @entry.nil? || @entry.plain?
            return [Book.t("terms.offers.unread", words: @entry.unread), @entry.choices] unless @entry.read?

            added, without = [@entry.added, @entry.without].map { |parts| parts.map { |part| part.is_a?(String) ? part : near(part) } }
            [Book.t("terms.offers.#{without.any? ? "enter_adds_and_excludes" : "enter_adds_terms"}",
                    added: added.join(", "), excluded: without.join(", ")), []]
          end

          # What is said where no heading fits, nil where one does.
          def remark
            return if !typed? || operators || @offers.any?(&:heading?) || @parts.any? { |part| part.kind == :heading }

            Book.t("terms.offers.#{way == :ranked ? "no_heading" : "no_label"}")
          end

          private

          def way = @fields.one_of(:way, Thesaurus::LookUp::WAYS) || :ranked

          def near(leaf) = Book.t("terms.offers.near", left: leaf.left, words: count_of(leaf.distance, "word"), right: leaf.right)

          def look(offer)
            "/inquiries/#{@id}/word?#{Rack::Utils.build_query(open: "heading:#{block}:#{offer.leaf.label}")}"
          end

          def heading_words(part)
            return Book.t("terms.offers.as_heading", heading: part.label) if part.text.casecmp?(part.label)

            Book.t("terms.offers.as_heading_of", heading: part.label, words: part.text.downcase)
          end
        end
      end
    end
  end
end
