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

      SAMPLE = Book.t("exports.report.sample")

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

      # What a report is made of.
      #
      # brief :: Brief; acting :: Brief::Acting; table :: Brief::FindingsTable
      # references :: Array of texts, one for each kept paper; style :: the name of their style
      # sample :: whether the papers are made up; address :: where it can be read, or nil
      class Material < Value
        attributes :brief, :acting, :table, :references, :style, :sample, :address

        def question = brief.question
      end

      # Puts a report together from its parts: the page for the ward, and all that is behind it.
      module Compose
        PARTS = [Parts::Ward, Parts::Deliberation, Parts::Papers, Parts::Appraised, Parts::Pooled, Parts::Certainty, Parts::Flow, Parts::Measures,
                 Parts::Change, Parts::Search, Parts::References].freeze
        private_constant :PARTS

        # material :: Material. Gives a Report; parts that have nothing to say are left out.
        def self.call(material)
          Report.new(title: material.question.text, sample: material.sample, made: material.brief.searched_on,
                     sections: PARTS.filter_map { |part| part.new(material).call })
        end
      end

      # A report to and from plain data, so that one that was signed can be opened as it was.
      module Plain
        BLOCKS = { "words" => Words, "grid" => Grid, "items" => Items, "picture" => Picture }.freeze
        private_constant :BLOCKS

        class << self
          # Gives a Hash that JSON can hold.
          def dump(report)
            sections = report.sections.map do |section|
              { key: section.key, title: section.title, blocks: section.blocks.map { |one| block(one) } }
            end
            { title: report.title, sample: report.sample, made: report.made.iso8601, sections: }
          end

          # data :: Hash with Symbols for keys. Gives a Report.
          def load(data)
            sections = data[:sections].map do |section|
              Section.new(key: section[:key].to_sym, title: section[:title], blocks: section[:blocks].map { |block| opened(block) })
            end
            Report.new(title: data[:title], sample: data[:sample], made: Date.iso8601(data[:made]),
                       sections:)
          end

          private

          def block(one) = { block: BLOCKS.key(one.class), **one.to_h }

          def opened(data)
            rest = data.except(:block)
            rest[:as] = rest[:as].to_sym if rest.key?(:as)
            BLOCKS.fetch(data[:block]).new(**rest)
          end
        end
      end

      # What reads differently in two versions of a report.
      module Since
        # title :: of the section; gone, come :: Array of texts that only one of them has
        class Part < Value
          attributes :title, :gone, :come
        end

        # older, newer :: Report. Gives an Array of Part, for the sections that differ.
        def self.of(older, newer)
          (newer.sections.map(&:key) | older.sections.map(&:key)).filter_map do |key|
            one, other = [older, newer].map { |report| report.section(key) }
            before, now = [one, other].map do |section|
              section ? section.blocks.flat_map(&:lines).tally : {}
            end
            gone, come = [only(before, now), only(now, before)]
            Part.new(title: (other || one).title, gone:, come:) if gone.any? || come.any?
          end
        end

        # A text that stands twice counts twice.
        def self.only(these, those)
          these.flat_map { |text, count| [text] * [count - those.fetch(text, 0), 0].max }
        end
        private_class_method :only
      end
    end
  end
end
