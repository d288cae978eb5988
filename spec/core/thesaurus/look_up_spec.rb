# frozen_string_literal: true

# Looking up headings, against the plain meaning of its ranks; and the shape of a thesaurus made by
# chance.
RSpec.describe Hobrin::Thesaurus do
  let(:random) { Random.new(7) }
  let(:syllables) { %w[ca re no ti lu me sa ro] }
  let(:headings) do
    labels = Array.new(400) { name }.uniq
    labels.each_with_index.map do |label, place|
      a_heading(label.capitalize, definition: Array.new(6) { name }.join(" "),
                                  also_called: Array.new(random.rand(3)) { name } - [label, label.capitalize],
                                  broader: labels.first(place).sample(random.rand(3), random:).map(&:capitalize))
    end.uniq { |heading| heading.label.downcase }
  end
  let(:thesaurus) { described_class.new(headings) }

  def name
    Array.new(random.rand(1..3)) { Array.new(random.rand(1..3)) { syllables[random.rand(8)] }.join }.join(" ")
  end

  # The rank of a heading for what was typed: the best of its names, or its definition.
  def rank(heading, typed)
    ranks = heading.names.filter_map do |one|
      own = one == heading.label ? 0 : 1
      next own if one.downcase.start_with?(typed)

      own + 2 if one.downcase.include?(" #{typed}")
    end
    ranks << 4 if typed.split.all? { |word| " #{heading.definition}".include?(" #{word}") }
    ranks.min
  end

  it "ranks by where it was found, whatever is typed" do
    60.times do
      typed = name[0, random.rand(1..6)].strip
      expected = headings.filter_map do |heading|
        (found = rank(heading, typed)) && [heading.label, found]
      end
      found = thesaurus.look_up(typed, limit: 1_000).map do |match|
        [match.heading.label, match.rank]
      end
      expect([typed, found.to_h]).to eq([typed, expected.to_h])
      expect(found.map(&:last)).to eq(found.map(&:last).sort)
      expect(thesaurus.look_up(typed, limit: 5).map { |match| match.heading.label })
        .to eq(found.first(5).map(&:first))
      { contains: ->(label) { label.downcase.include?(typed) }, begins: lambda { |label|
        label.downcase.start_with?(typed)
      } }.each do |way, test|
        labels = thesaurus.look_up(typed, limit: 1_000, way:).map { |match| match.heading.label }
        expect([typed, way,
                labels]).to match([typed, way, match_array(headings.map(&:label).select(&test))])
      end
    end
  end

  it "holds in each heading's closure just what can be reached from it, and gives each place a path to a top" do
    children = headings.to_h do |heading|
      [heading.label, headings.select { |one| one.broader.include?(heading.label) }.map(&:label)]
    end
    headings.sample(60, random:).each do |heading|
      reached = [heading.label]
      reached |= reached.flat_map do |label|
        children.fetch(label)
      end until reached == (reached | reached.flat_map { |label| children.fetch(label) })
      expect(thesaurus.with_narrower(heading.label)).to match_array(reached)
    end
    headings.select { |heading| heading.broader.size > 1 }.first(20).each do |heading|
      paths = thesaurus.places(heading.label)
      expect(paths.map(&:last).uniq).to eq([heading.label])
      paths.each do |path|
        expect(thesaurus.heading(path.first).broader).to eq([])
        path.each_cons(2) do |above, below|
          expect(thesaurus.heading(below).broader).to include(above)
        end
      end
    end
  end

  it "comes back from SKOS as it went, whatever it is made of" do
    text = StringIO.new.tap { |io| Hobrin::Exchange::Skos::Writer.new.call(thesaurus, io) }.string
    result = Hobrin::Exchange::Skos::Reader.new.call(StringIO.new(text), format: :turtle)
    plain = lambda { |list|
      list.map { |one| [one.label, one.also_called.sort, one.broader.sort, one.definition] }.sort
    }
    expect([result.errors, plain.call(result.headings)]).to eq([[], plain.call(headings)])
  end
end
