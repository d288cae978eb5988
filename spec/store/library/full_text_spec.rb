# frozen_string_literal: true

require "sequel"

# A word that stands in a paper is found by that word, whatever its letters; and only there.
RSpec.describe "Words of the library" do
  # Letters of many scripts and shapes, signs that are none, and marks that belong to a letter.
  let(:hostile) do
    %W[a Z 7 ß ẞ é e\u0301 İ ı ﬁ ₂ ² ½ ⅞ ↉ Ⅱ ① ⒈ ℌ Ａ ά ς Σ й ё が ｶﾞ 한 ผู้ น้ำ हिं عَر ﷺ 字 𝒳 𐐀 ŉ ǆ] +
      %W[\u00AD \u200D \uFEFF \u0327 \u20E3 \u{E000} \u{E001} - ™ ℃ ' ’ . * ? ^ " \u00A0
         \u3000] + [" ", " "]
  end

  def evaluator_over(records)
    with_home do |context|
      text = Hobrin::Exchange::CslJson::Writer.call(records)
      Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(text))
      yield context.evaluator, context
    end
  end

  def chunks(text) = text.split(/[[:space:]*?]+/).grep(/\p{L}|\p{N}/)

  def found(evaluator, typed, fields)
    evaluator.call(words(typed, fields:)).to_a
  rescue Hobrin::InputError
    []
  end

  it "finds every word of every field by that word, over hostile letters" do
    random = Random.new(2026)
    text = -> { "x#{Array.new(random.rand(3..14)) { hostile.sample(random:) }.join}" }
    records = Array.new(150) do |place|
      a_record(id: "r#{place}", title: text.call, abstract: text.call, keywords: Array.new(2) { text.call })
    end
    evaluator_over(records) do |evaluator, context|
      stored = context.library.records_by_id(records.map(&:id))
      stored.each.with_index(1) do |record, number|
        { title: [record.title], abstract: [record.abstract],
          keywords: record.keywords }.each do |field, texts|
          texts.flat_map { |one| chunks(one) }.each do |word|
            expect([word,
                    found(evaluator, "\"#{word}\"", [field])]).to match([word, include(number)])
          end
        end
      end
      plain = PlainReading.new(stored, [])
      stored.flat_map { |one| Hobrin::Text::Tokens.of(one.title) }.uniq.each do |word|
        expect([word, evaluator.call(words(word)).to_a]).to eq([word, plain.call(words(word))])
      end
    end
  end

  it "finds a raised figure, a ligature, a numeral and letters of other scripts as people type them" do
    titles = ["CO₂ retention", "SpO₂ of 88", "Beds of 12 m²", "A 5-HT₃ blocker", "After 1½ hours", "Type Ⅱ",
              "The ﬁrst night", "ΎΠΝΟΣ", "Ночной отдых, ёлка, йод", "がん", "수면", "ผู้ป่วย", "Straße", "so\u00ADfter"]
    typed = { 1 => %w[co2 CO₂], 2 => %w[SpO2 spo₂], 3 => %w[m2], 4 => %w[5-HT3 5-HT₃], 5 => %w[½], 6 => %w[II Ⅱ],
              7 => %w[first], 8 => %w[ύπνος], 9 => %w[отдых елка ёлка йод], 10 => %w[がん], 11 => %w[수면],
              12 => %w[ผู้ป่วย], 13 => %w[strasse STRASSE], 14 => %w[softer] }
    evaluator_over(titles.each_with_index.map { |title, place| a_record(id: place.to_s, title:) }) do |evaluator|
      typed.each do |number, ways|
        ways.each { |one| expect([one, evaluator.call(words(one)).to_a]).to eq([one, [number]]) }
      end
    end
  end

  it "lets a mask that fits nothing find nothing, though a keyword has no letter" do
    records = [a_record(id: "a", keywords: ["alpha", "-", "beta"]),
               a_record(id: "b", keywords: ["()"])]
    evaluator_over(records) do |evaluator|
      ["zzz?q", "z?zz*", "alpha beta"].each do |typed|
        expect([typed, evaluator.count(words(typed))]).to eq([typed, 0])
      end
      expect(evaluator.call(words("al?ha")).to_a).to eq([1])
    end
  end

  # Terms of one word, with masks, too, in one field and in several.
  def single_words(vocabulary)
    typed = vocabulary.grep(/.{4}/) + %w[war* wa?d* nig* sle* l?rm noi?e xyz*]
    typed.product([[:title], [:abstract], %i[keywords], %i[title abstract keywords]]).map do |one, fields|
      words(one, fields:)
    end
  end

  def finish(library, turn, at)
    library.finish_import(library.imports.begin(name: "x", digest: turn.to_s, size: 0, at:), at:)
  end

  # Sets of frequent words are kept ready when an import ends, lag behind while one goes on, and are
  # mended where papers are written anew: none of it may show in an answer.
  it "answers a word by the sets that are kept ready as the papers have it, however far they lag behind" do
    stub_const("Hobrin::Store::Library::FrequentWords::LEAST", 3)
    random = Random.new(28)
    vocabulary = %w[ward wards warden night nights noise sleep slept sleeping Überwach lärm of CO₂ 95]
    text = lambda do |most|
      vocabulary.sample(random.rand(0..most), random:).join([" ", "-", ", "].sample(random:))
    end
    paper = lambda do |id|
      keywords = Array.new(random.rand(3)) { text[2] }.reject(&:empty?)
      a_record(id:, title: "Paper #{text[3]}", abstract: text[6], keywords:)
    end
    leaves, reading, ids = single_words(vocabulary), PlainReading.new([], []), []
    Dir.mktmpdir do |folder|
      library = Hobrin::Boot.context(home: Pathname(folder)).library
      library.add([paper["first"]])
      200.times do |turn|
        case random.rand(6)
        when 0, 1 then library.add(Array.new(3) { |place| paper[ids.push("#{turn} #{place}").last] })
        when 2
          changed = Hobrin::Store::Library::RecordRows::Batch.of(ids.sample(2, random:).map(&paper))
          library.add_batch(changed, renew: true)
        when 3 then library.take_out([ids.delete(ids.sample(random:))].compact, at: "2026-11-28")
        when 4 then finish(library, turn, "2026-11-28")
        when 5 then library.keep_frequent_words
        end
        index = library.index
        records = index.everything.zip(library.numbered_all(index.everything.to_a))
        leaves.sample(12, random:).each do |leaf|
          expected = records.filter_map { |number, record| number if reading.match?(record, leaf) }
          expect([turn, leaf, index.words(leaf).to_a]).to eq([turn, leaf, expected])
        end
      end
      kept = Sequel.sqlite("#{folder}/library.sqlite3") { |db| db[:word_sets].distinct.select_map(:word) }
      expect(kept).to include("ward", "night", "uberwach", "larm", "co2")
      expect(kept).not_to include("of", "95")
    end
  end

  it "writes the words of a library anew that was made by an earlier Hobrin" do
    Dir.mktmpdir do |folder|
      path = File.join(folder, "library.sqlite3")
      db = Sequel.sqlite(path)
      Sequel.extension :migration
      Sequel::Migrator.run(db, "db/migrations/library", target: 2)
      record = a_record(title: "CO₂ at night",
                        authors: [Hobrin::Records::Author.new(
                          family: "Weiß", given: "Ann"
                        )])
      db[:records].insert(number: 7, id: record.id, csl: JSON.generate(Hobrin::Exchange::CslJson::Writer.item(record)))
      db.disconnect
      db = Hobrin::Store::Database.open(path, kind: :library)
      index = Hobrin::Store::Library::Index.new(db)
      expect([index.words(words("co2")),
              index.author(Hobrin::Strategy::Author.read("weiss A"))].map(&:to_a)).to eq([[7], [7]])
      expect(db[:rebuilds].all).to eq([])
      db.disconnect
    end
  end
end
