# frozen_string_literal: true

# Whatever comes in: an answer or a message at its place, never anything else.
RSpec.describe "Input nobody expected", :slow do
  let(:random) { Random.new(99) }
  let(:vocabulary) do
    Hobrin::Strategy::Vocabulary.new(thesaurus: Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings),
                                     journals: ["Bedside Evidence"], places: ["Norway"])
  end
  let(:pieces) do
    %w[and or not prox ( ) / = <= > <> == any all adj within sortBy dc.title dc.subject dc.date hobrin.age hobrin.text
       cql.allRecords dc.type distance<=3 unit=word ordered hobrin.narrower hobrin.aspect=nursing sleep del* an?esth*
       \\ 2016 Delirium adult 1 * ? ^x é 日本 ;-- {title} NEAR(] +
      ["\"", "\"\\\"", "\"2016 2020\"", "\"two words\"", "''", " ", "\n", "\u0000", "x" * 200]
  end

  def soup(size)
    Array.new(size) { pieces[random.rand(pieces.size)] }.join(random.rand(4).zero? ? "" : " ")
  end

  it "reads any search text or says at which column it cannot" do
    read = 3_000.times.count do
      text = soup(random.rand(1..12))
      tree = Hobrin::Strategy::Cql.read(text, vocabulary)
      written = Hobrin::Strategy::Cql.write(tree)
      expect([text, Hobrin::Strategy::Cql.read(written, vocabulary)]).to eq([text, tree])
      true
    rescue Hobrin::Strategy::Cql::Error => e
      expect([text, e.column.between?(1, text.size + 1),
              e.message[/\AColumn #{e.column}: ./].nil?]).to eq([text, true, false])
      false
    end
    expect(read).to be_between(30, 2_900)
  end

  it "answers any tree that it could read from SQLite without an error", :small_sample do
    500.times do
      tree = Hobrin::Strategy::Cql.read(soup(random.rand(1..9)), vocabulary)
      context.evaluator.call(tree)
    rescue Hobrin::InputError
      next
    end
  end

  # A good file with bytes cut out, doubled, changed or put in.
  def broken(bytes)
    at = random.rand(bytes.bytesize)
    case random.rand(4)
    when 0 then bytes.byteslice(0, at) + bytes.byteslice((at + random.rand(1..40))..).to_s
    when 1 then bytes.byteslice(0, at) + bytes.byteslice([at - 60, 0].max..)
    when 2 then bytes.dup.tap { |copy| copy.setbyte(at, random.rand(256)) }
    else bytes.byteslice(0,
                         at) + ["{", "}", "\"", "\\", "\r", "\xFF", "@article{", "TY  - ", "ER  -\n",
                                "\u0000"][random.rand(10)].b + bytes.byteslice(at..)
    end
  end

  it "takes what it can from a file with something wrong anywhere in it" do
    records = SampleHome.records.first(12)
    Hobrin::Exchange::FORMATS.each do |name, format|
      bytes = format::Writer.call(records).b
      kept = Array.new(60) do
        read, refused = Hobrin::Exchange.read(broken(bytes), format: name)
        expect(refused.map(&:reason)).to all(match(/\w/))
        expect(read.map(&:title)).to all(be_valid_encoding)
        expect(refused.map(&:place)).to eq(refused.map(&:place).uniq.sort)
        read.size
      rescue Hobrin::InputError
        0
      end
      # One wrong place costs one entry, or the two on either side of it; rarely what follows.
      expect([name, kept.sort[kept.size / 10] >= 9]).to eq([name, true])
    end
  end

  it "reads any words that a person types, or says what is wrong with them" do
    1_000.times do
      text = soup(random.rand(1..4))
      [-> { Hobrin::Strategy::TextTerm.read(text) }, lambda {
        Hobrin::Strategy::Author.read(text)
      }, lambda {
           Hobrin::Strategy::Identifier.read(text)
         }].each do |read|
        leaf = read.call
        expect(Hobrin::Strategy::Cql.read(Hobrin::Strategy::Cql.write(leaf),
                                          vocabulary)).to eq(leaf)
      rescue Hobrin::InputError => e
        expect(e.errors.keys.size).to eq(1)
      end
    end
  end
end
