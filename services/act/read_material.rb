# frozen_string_literal: true

module Hobrin
  module Services
    # What a report of an inquiry is made of, with every number counted now.
    class ReadMaterial
      # style :: key of Exchange::Citation::STYLES, of the references; address :: where it can be
      #   read, or nil
      def initialize(context, style: nil, address: nil)
        @context = context
        @style = Exchange::Citation::STYLES.key?(style) ? style : Exchange::Citation::STYLES.keys.first
        @address = address
      end

      # opened :: OpenInquiry. Gives an Exchange::Report::Material.
      def call(opened)
        brief = ReadBrief.new(@context).call(opened)
        Exchange::Report::Material.new(
          brief:, acting: opened.inquiry.acting, table: ReadWeigh.new(@context, opened).findings_table,
          references: Exchange::Citation.all(brief.rows.map(&:record), @style),
          style: Exchange::Citation::STYLES.fetch(@style).first, sample: @context.snapshot.sample?, address: @address
        )
      end
    end
  end
end
