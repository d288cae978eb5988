# frozen_string_literal: true

# The promises of Hobrin::Retrieval's Index, run against any of them. The including group gives
# `index`, `records` (those that the index holds, numbered from 1 in that order) and `plain`, a
# PlainReading of them.
RSpec.shared_examples "an index" do
  def expected = records.each_with_index.filter_map { |record, place| place + 1 if yield(record) }

  it "knows every record, every value, and what is not said" do
    expect(index.everything.to_a).to eq((1..records.size).to_a)
    expect(index.values(:year)).to eq(records.filter_map(&:year).uniq.sort.map(&:to_s))
    expect(index.values(:journal)).to eq(records.filter_map(&:journal).uniq.sort)
    expect(index.not_indexed.to_a).to eq(expected { |record| record.headings.empty? })
    expect(index.unstated(:age).to_a).to eq(expected { |record| record.ages.empty? })
    expect(index.facet(:heading, ["No such heading"])).to be_empty
    %i[type age journal year].each do |name|
      expect(index.sets(name).to_h { |value, set| [value, set.to_a] })
        .to eq(index.values(name).to_h { |value| [value, index.facet(name, [value]).to_a] })
    end
  end

  it "answers words in each field by whole words, phrases and masks, folded" do
    typed = ["earplugs", "ear plug*", "Randomised", "intensive care", "sleep*", "délire", "confusion in", "22:00",
             "zebra",
             "del?ri*", "inten*ve car?", "qui?t tim*"]
    typed.product([%i[title], %i[abstract], %i[keywords], %i[headings],
                   %i[title abstract keywords]]).each do |text, fields|
      leaf = words(text, fields:)
      expect([text, fields, index.words(leaf).to_a]).to eq([text, fields, plain.call(leaf)])
    end
  end

  it "spells a mask out as the words that are there" do
    words = records.map do |record|
      text = [record.title, record.abstract, *record.keywords,
              *record.headings.map(&:label)].join(" ")
      text.downcase.scan(/[a-z]+/).uniq
    end
    expected = words.flatten.tally.select do |word, _|
      word.start_with?("rand") && word.end_with?("d")
    end
    expect(expected.size).to be > 1
    expect(index.spellings(Hobrin::Text::Mask.new("rand*d")))
      .to eq(expected.sort_by { |word, count| [-count, word] })
  end
end
