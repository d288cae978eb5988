# frozen_string_literal: true

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
      Hobrin::Services::ImportRecords.new(context).call(StringIO.new(text))
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
      a_record(id: "r#{place}", title: text.call, abstract: text.call, keywords: Array.new(2) do
        text.call
      end)
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
    evaluator_over(titles.each_with_index.map do |title, place|
      a_record(id: place.to_s, title:)
    end) do |evaluator|
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
      index = Hobrin::Store::Index.new(db)
      expect([index.words(words("co2")),
              index.author(Hobrin::Strategy::Author.read("weiss A"))].map(&:to_a)).to eq([[7], [7]])
      db.disconnect
    end
  end
end
