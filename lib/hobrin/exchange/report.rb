# frozen_string_literal: true

module Hobrin
  module Exchange
    # A brief as a document, before it is written in any format: what it says is decided once, so
    # that every file says the same. Values of text and plain numbers only, which JSON can hold.
    #
    # title :: the question; sample :: whether its papers are made up; made :: Date
    # sections :: Array of Section; the first is the page for the ward
    class Report < Value
      attributes :title, :sample, :made, :sections

      SAMPLE = "Made-up sample data: no paper, author, journal or result here is real."

      # key :: Symbol; title :: in words; blocks :: Array of Words, Grid, Items and Picture
      class Section < Value
        attributes :key, :title, :blocks
      end

      # A paragraph. as :: :lead, :plain, :small or :code
      class Words < Value
        attributes :text, :as

        def lines = [text]
      end

      # A table. name :: in words; columns :: Array of texts; rows :: Array of Arrays of texts
      class Grid < Value
        attributes :name, :columns, :rows

        def lines = rows.map { |row| row.reject(&:empty?).join(" · ") }
      end

      # A list of texts, in order.
      class Items < Value
        attributes :list

        def lines = list
      end

      # A drawing. name :: what it shows; width, height :: of its frame
      # shapes :: Array of [kind, style, places, text], see Pictures::Canvas
      class Picture < Value
        attributes :name, :width, :height, :shapes

        def lines = []
      end

      def section(key) = sections.find { |section| section.key == key }
      def ward = sections.first
      def behind = sections.drop(1)
    end
  end
end
