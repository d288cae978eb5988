# frozen_string_literal: true

module Hobrin
  module Exchange
    # A paper as a list of references would name it, written by citeproc in a style of the Citation
    # Style Language.
    module Citation
      # Key to [name, style of csl-styles].
      STYLES = { "vancouver" => %w[Vancouver nlm-citation-sequence], "apa" => %w[APA apa],
                 "ama" => %w[AMA american-medical-association], "harvard" => %w[Harvard harvard-cite-them-right],
                 "ieee" => %w[IEEE ieee] }.freeze
      # The styles are read once, which takes a while, and shared; a processor belongs to one call.
      LOCK = Mutex.new
      # What nobody needs in a line of references.
      LEFT_OUT = %w[abstract keyword custom note].freeze
      private_constant :LOCK, :LEFT_OUT

      class << self
        # record :: Records::Record; style :: key of STYLES, the first for an unknown one. Gives one
        #   line of plain text.
        def of(record, style = STYLES.keys.first) = all([record], style).first

        # The same of several records: Array of texts. The block, if any, is told after each how many are
        # written.
        def all(records, style = STYLES.keys.first)
          _, name = STYLES.fetch(style) { STYLES.values.first }
          items = records.map { |record| JSON.parse(JSON.generate(CslJson::Writer.item(record))).except(*LEFT_OUT) }
          LOCK.synchronize do
            require "citeproc/ruby"
            require "csl/styles"
            processor = CiteProc::Processor.new(style: read(name), format: "text", locale: "en-GB")
            processor.import(items)
            items.map.with_index(1) do |item, done|
              line(processor.render(:bibliography, id: item.fetch("id"))).tap { yield done if block_given? }
            end
          end
        end

        private

        # Without the number that some styles put before it.
        def line(parts) = parts.join(" ").gsub(/\s+/, " ").strip.sub(/\A(?:1\.|\[1\])\s?/, "")

        def read(name) = (@styles ||= {})[name] ||= CSL::Style.load(name)
      end
    end
  end
end
