# frozen_string_literal: true

# The promises of Hobrin::Retrieval's Index, run against any of them. The including group gives `index` and
# `records`: the records that the index holds, numbered from 1 in that order.
RSpec.shared_examples "an index" do
  def expected = records.each_with_index.filter_map { |record, place| place + 1 if yield(record) }

  it "knows every record and every year" do
    expect(index.everything.to_a).to eq((1..records.size).to_a)
    expect(index.years).to eq(records.filter_map(&:year).uniq.sort)
    expect(index.not_indexed.to_a).to eq(expected { |record| record.headings.empty? })
  end

  it "answers words in each field by whole words, phrases and beginnings, folded" do
    typed = ["earplugs", "ear plug*", "Randomised", "intensive care", "sleep*", "délire", "confusion in", "22:00",
             "zebra"]
    typed.product([%i[title], %i[abstract], %i[keywords], %i[title abstract keywords]]).each do |text, fields|
      leaf = words(text, fields:)
      expect([text, fields, index.words(leaf).to_a]).to eq([text, fields, expected do |record|
        PlainReading.words?(record, leaf)
      end])
    end
  end

  it "answers headings, main topics, types, ages and years" do
    expect(index.heading("Delirium", false).to_a).to eq(expected { |record|
      record.headings.any? { |one|
        one.label == "Delirium"
      }
    })
    expect(index.heading("Delirium", true).to_a).to eq(expected { |record|
      record.headings.any? { |one|
        one.label == "Delirium" && one.main
      }
    })
    expect(index.facet(:type, "guideline").to_a).to eq(expected { |record| record.types.include?("guideline") })
    expect(index.facet(:age, "80 and over").to_a).to eq(expected { |record| record.ages.include?("80 and over") })
    expect(index.facet(:year, 2021).to_a).to eq(expected { |record| record.year == 2021 })
    expect(index.unstated(:age).to_a).to eq(expected { |record| record.ages.empty? })
    expect(index.heading("No such heading", false)).to be_empty
  end
end
