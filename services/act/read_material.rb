# frozen_string_literal: true

module Hobrin
  module Services
    # What a report of an inquiry is made of, with every number counted now.
    class ReadMaterial
      # More papers than these are cited in files alone: it takes long.
      MOST_CITED = 300

      # style :: key of Exchange::Citation::STYLES, of the references; address :: where it can be
      #   read, or nil; all_cited :: whether every paper is cited, however many there are
      # The block, if any, is told how many references are written, and of how many.
      def initialize(context, style: nil, address: nil, all_cited: false, &progress)
        @context = context
        @all_cited = all_cited
        @progress = progress
        @style = Exchange::Citation::STYLES.key?(style) ? style : Exchange::Citation::STYLES.keys.first
        @address = address
      end

      # opened :: OpenInquiry. Gives an Exchange::Report::Material.
      def call(opened)
        brief = ReadBrief.new(@context).call(opened)
        Exchange::Report::Material.new(
          brief:, acting: opened.inquiry.acting, table: ReadWeigh.new(@context, opened).findings_table,
          references: references(brief.rows.map(&:record)),
          style: Exchange::Citation::STYLES.fetch(@style).first, sample: @context.snapshot.sample?, address: @address
        )
      end

      private

      def references(records)
        return [] if records.size > MOST_CITED && !@all_cited

        Exchange::Citation.all(records, @style) { |done| @progress&.call(done, records.size) }
      end
    end
  end
end
