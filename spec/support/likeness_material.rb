# frozen_string_literal: true

require_relative "../../config/boot"

# Papers of the sample, for what is checked against scikit-learn: made without a library.
module LikenessMaterial
  PAPERS = 200
  DECIDED = 40

  class << self
    def records = @records ||= Hobrin::Demo::SampleLibrary.new.each.lazy.first(PAPERS)

    def texts
      records.map do |record|
        Hobrin::Text::Tokens.of([record.title, record.abstract,
                                 *record.headings.map(&:label)].join(" ")).join(" ")
      end
    end

    def pairs = Array.new(120) { |number| [number, ((number * 7) + 3) % PAPERS] }

    def likeness
      counts = texts.flat_map { |text| text.split.uniq }.tally
      Hobrin::Screening::Likeness.new(size: PAPERS, counts:)
    end

    # Every other paper with a trial's label is kept.
    def examples
      records.first(DECIDED).map { |record| [Hobrin::Screening::Likeness::Traits.of(record, likeness), record.types.include?("randomized controlled trial")] }
    end

    def to_h
      named = examples.map { |traits, keep| [traits.transform_keys(&:to_s), keep] }
      { texts:, pairs:, examples: named, penalty: Hobrin::Screening::Prediction::PENALTY }
    end
  end
end
