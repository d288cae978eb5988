# frozen_string_literal: true

# The ladder, the orders and the parts of the list of papers, against a plain reading of the
# records.
RSpec.describe "The list of papers on Sift" do
  describe "over a small sample" do
    records = SmallSample.records
    library = SmallSample.context.library
    index = SmallSample.context.evaluator.index
    everything = index.everything

    # The rung of a record by its own labels: nothing of how the ladder goes about it.
    def rung_of(record, kind)
      designs = Hobrin::Appraisal::Design::ALL.select { |one| one.types.intersect?(record.types) }.map(&:key)
      return "aside" if record.retracted? || designs.include?("protocol")
      return "summaries" if designs.include?("guideline")
      return "reviews" if designs.include?("systematic_review")

      case kind
      when "experience"
        return "own-1" if designs.include?("qualitative")

        designs.include?("cross_sectional") ? "own-2" : "unplaced"
      else
        table = Hobrin::Appraisal::Level.by_design(kind)
        designs.filter_map { |key| table[key] }.min.then { |level| level ? "level-#{level}" : "unplaced" }
      end
    end

    it "puts each paper on one rung, the highest that its labels give it" do
      ["treatment", "diagnosis", "prognosis", "experience", nil].each do |kind|
        rungs = Hobrin::Appraisal::Ladder.new(everything, kind, index).call
        found = rungs.flat_map { |rung| rung.papers.map { |number| [number, rung.key] } }
        expected = records.each_with_index.map do |record, place|
          [place + 1, rung_of(record, kind)]
        end
        expect(found.sort).to eq(expected)
        expect(rungs.last.key).to eq("aside")
      end
    end

    # BM25 as SQLite's documentation of FTS5 gives it (k1 1.2, b 0.75), worked out from the texts.
    def plain_closeness(texts, phrases)
      weights = Hobrin::Store::Library::Nearness::Closeness::WEIGHTS
      sizes = texts.map { |columns| columns.sum { |column| column.split.size } }
      average = sizes.sum.fdiv(texts.size)
      counts = phrases.to_h do |phrase|
        [phrase, texts.map do |columns|
          columns.map do |one|
            " #{one} ".scan(/(?<= )#{phrase}(?= )/).size
          end
        end]
      end
      texts.each_index.to_h do |place|
        score = phrases.sum do |phrase|
          having = counts[phrase].count { |row| row.sum.positive? }
          rarity = [Math.log((texts.size - having + 0.5) / (having + 0.5)), 1e-6].max
          often = counts[phrase][place].zip(weights).sum { |count, weight| count * weight }
          rarity * (often * 2.2) / (often + (1.2 * (0.25 + (0.75 * sizes[place] / average))))
        end
        [place + 1, score]
      end
    end

    it "is as close to the words of a search as BM25 worked out plainly" do
      # Cut as SQLite's ascii tokenizer cuts them (its documentation).
      texts = records.map do |record|
        Hobrin::Store::Library::FullText.columns(record).map { |text| text.downcase.gsub(/[\x00-\x2F:-`{-\x7F]+/, " ").strip }
      end
      phrases = ["delirium", "intensive care", "sleep", "earplugs", "zebra"]
      expected = plain_closeness(texts, phrases).select { |_, score| score.positive? }
      found = library.closeness(everything, phrases)
      expect(found.keys).to match_array(expected.keys)
      found.each do |number, score|
        expect(score).to be_within(1e-6 * [score, 1].max).of(expected.fetch(number))
      end
      expect(found.values).to eq(found.values.sort.reverse)
      few = everything & Hobrin::Records::RecordSet.of(found.keys.last(3))
      expect(library.closeness(few, phrases).keys).to match_array(few.to_a)
      expect(library.closeness(everything, ["", "*", "\"; drop", "a?b"]).keys).to eq([])
    end
  end

  describe "of the main inquiry", :sample do
    def list(**view)
      Hobrin::Services::Screen::Read.new(context, opened, view: Hobrin::Screening::ListView.new(**view))
    end

    it "shows the part, the rung and the words that are asked for, in the order that is" do
      all = list.call.records
      expect(list(order: :strongest).call.records).to match_array(all)
      expect(list(order: :closest).call.records).to match_array(all)
      kept = list(part: :keep).call
      expect([kept.records.map(&:id).sort, kept.all]).to eq([inquiry.kept_ids.sort, all.size])
      expect(list.tally.values.sum).to eq(all.size)
      steps = list.ladder
      expect(steps.sum { |step| step.rung.papers.size }).to eq(all.size)
      steps.each do |step|
        expect(list(rung: step.rung.key).call.total).to eq(step.rung.papers.size)
      end
      found = list(find: "earplug*").call.records
      expect(found).to eq(all.select { |one| [one.title, one.abstract, *one.keywords].join(" ").match?(/\bearplug/i) })
      refused = list(find: "*").call
      expect([refused.refused.to_s.empty?, refused.total]).to eq([false, all.size])
      expect(list(find: "zebra").call).to have_attributes(open: nil, records: [])
    end

    it "says which three to read first: the newest of the highest rungs, nothing that is set aside" do
      choices = list.read_first
      order = list.ladder.map { |step| step.rung.key }
      expect(choices.size).to eq(3)
      expect(choices.map { |one| order.index(one.rung.key) }).to eq(choices.map { |one| order.index(one.rung.key) }.sort)
      expect(choices.map(&:record)).to all(satisfy { |record| !record.retracted? })
      choices.select(&:newest).each do |one|
        years = list(rung: one.rung.key).call.records.map(&:year)
        expect(one.record.year).to eq(years.max)
      end
    end
  end
end
