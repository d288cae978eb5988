# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Word
        # The form in which the words of a term are changed: as they were typed and refused, or as
        # they are.
        class WordsForm
          USUAL_DISTANCE = 3
          private_constant :USUAL_DISTANCE

          # Whether a leaf is one of words.
          def self.for?(leaf) = leaf.is_a?(Strategy::TextTerm) || leaf.is_a?(Strategy::Proximity)

          # page :: Word; term :: Strategy::Block::Term
          def initialize(page, term)
            @leaf = term.leaf
            @near = @leaf if @leaf.is_a?(Strategy::Proximity)
            @typed = page.fields if page.errors.any? && page.fields.text(:do) == "reword"
            @id = term.id
          end

          attr_reader :id

          def text
            return @typed.text(:text) if @typed

            @near ? "#{@near.left} #{@near.right}" : @leaf.text
          end

          # Array of [field, name, whether it is looked at].
          def places
            chosen = @typed ? @typed.list(:in) : @leaf.fields.map(&:to_s)
            Strategy::TextTerm::FIELDS.map { |field, name| [field, name, chosen.include?(field.to_s)] }
          end

          def several? = words.size > 1
          def near? = @typed ? @typed.text(:as) == "near" : !@near.nil?
          def distance = @typed ? @typed.text(:distance) : @near&.distance || USUAL_DISTANCE
          def ordered? = @typed ? @typed.checked?(:ordered) : @near&.ordered

          # Where the words can be split into two sides, for a select; none for two words.
          def splits
            return [] if words.size < 3

            chosen = @typed ? @typed.number(:split) : (@near.left.split.size if @near)
            (1...words.size).map do |at|
              [at, "#{words.take(at).join(" ")} | #{words.drop(at).join(" ")}", at == chosen]
            end
          end

          private

          def words = text.split
        end
      end
    end
  end
end
