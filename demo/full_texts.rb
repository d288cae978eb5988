# frozen_string_literal: true

require "prawn"
require "tempfile"

module Hobrin
  module Demo
    # Full texts of a few papers around the main inquiry, as PDF files: their abstracts, told at
    # length. All made up.
    class FullTexts
      KEYS = %w[trial-2021 label-2019 trial-2017-surgery].freeze
      NAMES = { background: "Background", methods: "Methods", results: "Results",
                conclusion: "Conclusion" }.freeze
      # What is said at length about any of them, by the section.
      MORE = {
        background: "Nights in hospital are bright and loud, and few people sleep through them. What is " \
                    "cheap and can be taken off again deserves a fair test before it becomes a habit.",
        methods: "Nurses on the units showed each person how to wear and to take off the devices. " \
                 "Sleep was rated each morning. All who began were counted in the group in which they " \
                 "began. The study had the consent of those who took part.",
        results: "Nobody was hurt. Those who took the devices off did so mostly because of warmth " \
                 "behind the ears.",
        conclusion: "What follows for one ward depends on who lies in it, and on what its nights are " \
                    "like."
      }.freeze
      # The same bytes each time.
      DAY = Time.utc(2026, 11, 20)
      private_constant :NAMES, :MORE, :DAY

      def initialize(context)
        @context = context
      end

      # Keeps one with each of its papers.
      def call
        KEYS.each do |key|
          record = @context.library.record("10.5555/hobrin.#{key}") or next
          Tempfile.create(["full", ".pdf"]) do |file|
            write(record, file.path)
            @context.papers.keep(record.id, file.path)
          end
        end
      end

      private

      def write(record, path)
        Prawn::Document.generate(path,
                                 info: { Title: record.title, CreationDate: DAY,
                                         ModDate: DAY }) do |page|
          page.text "Made-up sample data. No person, place or result in it is real.", size: 9
          page.move_down 8
          page.text record.title, size: 17, style: :bold
          page.text record.authors.map(&:short).join(", "), size: 10
          page.text "#{record.journal}, #{record.published}. DOI #{record.doi}", size: 10,
                                                                                 style: :italic
          sections(record).each { |name, text| section(page, name, text) }
        end
      end

      def section(page, name, text)
        page.move_down 12
        page.text name, size: 13, style: :bold
        page.text text, size: 11, leading: 3
      end

      def sections(record)
        passage = CloseReading::Passage.new(record.abstract)
        NAMES.map { |key, name| [name, [*passage.of(key).map(&:text), MORE.fetch(key)].join(" ")] }
      end
    end
  end
end
