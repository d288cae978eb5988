# frozen_string_literal: true

# Whatever comes in, is matched, parted and taken back, in whatever order: the library answers like
# one that was made at once of what is left.
RSpec.describe Hobrin::Store::Library::Imports do
  let(:headings) { [a_heading("Noise", also_called: ["Din"]), a_heading("Sleep"), a_heading("Light")] }
  let(:keywords) { ["night care", "din of wards", "Sleep", "lamps", "*Din", "ward"] }

  # Papers that share titles, ids, DOIs, authors and keywords with each other by chance.
  def papers(random, file)
    Array.new(random.rand(3..25)) do |place|
      number = random.rand(40)
      doi = "10.5555/p#{number}" if random.rand < 0.4
      a_record(id: "f#{file}-#{place}", title: "Paper #{number} on #{%w[noise sleep light][number % 3]}", doi:,
               published: "20#{10 + (number % 9)}", keywords: keywords.sample(random.rand(0..3), random:),
               authors: [Hobrin::Records::Author.new(family: "Vendrillon", given: "A")],
               journal: ["Tests at the Bedside", nil].sample(random:))
    end
  end

  def import(context, records, name)
    text = Hobrin::Exchange::CslJson::Writer.call(records)
    Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(text), name:)
    context.library.imports.all.first
  end

  def match(context, name, label)
    allow(Process).to receive_messages(spawn: nil, detach: nil)
    Hobrin::Services::Library::MatchHeading.new(context).call(name, label)
    Hobrin::Services::Imports::Work.new(context).call
  end

  # What it answers, by ids, since numbers differ.
  def answers(context)
    library, index = context.library, context.library.index
    ids = ->(set) { library.ids(set).sort }
    leaves = ["din of wards", "night", "paper", "sleep", "lamps"].map { |text| words(text) } +
             %w[Noise Sleep Light].map { |label| Hobrin::Strategy::Heading.new(label:) } +
             [Hobrin::Strategy::Author.new(family: "vendrillon", initials: "")]
    facets = %i[year journal].to_h do |name|
      [name, index.sets(name).transform_values(&ids).reject { |_, some| some.empty? }]
    end
    records = library.newest(index.everything, limit: 500).to_h do |record|
      [record.id, [record.keywords, record.headings.map(&:label).sort]]
    end
    [ids[index.everything], ids[index.not_indexed], facets, leaves.map { |leaf| ids[context.evaluator.call(leaf)] },
     index.word_counts.reject { |_, count| count.zero? }, records]
  end

  # Pairs of ids that are linked, whichever of a group is its first: groups of two and more.
  def groups(context)
    context.library.duplicates.pairs(limit: 1_000).group_by(&:first).map do |first, pairs|
      [first, *pairs.map(&:last)].map { |number| context.library.numbered(number).id }.sort
    end.sort
  end

  it "answers after any order of coming in, matching and taking back like a library made of what is left", :slow do
    random = Random.new(6)
    12.times do |round|
      with_home do |context|
        Hobrin::Services::Imports::ImportThesaurus.new(context).call(headings)
        files, matched = {}, {}
        7.times do |turn|
          case random.rand(4)
          when 0, 1
            records = papers(random, turn)
            files[import(context, records, "file #{turn}").id] = records
          when 2
            name, label = [["night care", "lamps", "ward"].sample(random:), %w[Noise Light].sample(random:)]
            next if matched.key?(name)

            match(context, name, matched[name] = label)
          when 3
            gone = files.keys.sample(random:) or next
            Hobrin::Services::Imports::Change.new(context).take_back(gone)
            files.delete(gone)
          end
        end
        with_home do |fresh|
          Hobrin::Services::Imports::ImportThesaurus.new(fresh).call(headings)
          matched.each { |name, label| match(fresh, name, label) }
          files.each_value { |records| import(fresh, records, "again") }
          expect([round, answers(context)]).to eq([round, answers(fresh)])
          expect([round, groups(context).flatten.size]).to eq([round, groups(fresh).flatten.size])
        end
      end
    end
  end

  it "keeps two apart that were said to be two, also when a third of them comes in" do
    with_home do |context|
      same = %w[a b].map { |id| a_record(id:, title: "Night noise on wards", published: "2020", authors: [Hobrin::Records::Author.new(family: "Elve", given: "Z")]) }
      import(context, same, "first")
      doubles = context.library.duplicates
      expect(doubles.pairs(limit: 5)).to eq([[1, 2]])
      expect(doubles.pairs(limit: 5, after: 2)).to eq([])
      doubles.part(2)
      expect([doubles.pairs(limit: 5), doubles.parted(limit: 5)]).to eq([[], [[1, 2]]])
      import(context, [same.first.with(id: "c")], "third")
      expect(doubles.pairs(limit: 5)).to eq([[1, 3]])
      doubles.join(1, 2)
      expect([doubles.pairs(limit: 5), doubles.parted(limit: 5)]).to eq([[[1, 2], [1, 3]], []])
      expect { doubles.part(1) }.to raise_error(Hobrin::GoneError)
      expect { doubles.join(1, 2) }.to raise_error(Hobrin::GoneError)
    end
  end
end
