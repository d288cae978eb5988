# frozen_string_literal: true

RSpec.describe Hobrin::Exchange::Report do
  words = ->(text, as = :plain) { described_class::Words.new(text:, as:) }
  grid = ->(*rows) { described_class::Grid.new(name: "Numbers", columns: %w[What How], rows:) }
  section = ->(key, *blocks) { described_class::Section.new(key:, title: key.to_s.capitalize, blocks:) }
  report = lambda { |*sections|
    described_class.new(title: "Does it help?", sample: false, made: Date.new(2026, 11, 23), sections:)
  }

  it "comes back from plain data as it was, whatever it says" do
    random = Random.new(17)
    letters = ["a", "é", "日", "<", "|", "\n", "\u2009", "&", "\"", "😀", " "]
    text = -> { Array.new(random.rand(0..30)) { letters.sample(random:) }.join }
    200.times do
      picture = described_class::Pictures::Canvas.new(text.call, 10, 20).line(1, 2, 3.456, 4).text(1, 1,
                                                                                                   text.call).picture
      one = report.call(section.call(:ward, words.call(text.call, :lead), grid.call([text.call, text.call]),
                                     described_class::Items.new(list: [text.call, text.call]), picture))
      plain = JSON.parse(JSON.generate(described_class::Plain.dump(one)), symbolize_names: true)
      expect(described_class::Plain.load(plain)).to eq(one)
    end
  end

  it "tells what reads differently, a text that stands twice counted twice" do
    older = report.call(section.call(:ward, words.call("Lowers it."), grid.call(%w[A 1], %w[B 2], %w[B 2])),
                        section.call(:gone, words.call("Away.")))
    newer = report.call(section.call(:ward, words.call("May lower it."), grid.call(%w[A 1], %w[B 2])),
                        section.call(:come, words.call("Here.")))
    told = described_class::Since.of(older, newer).map { |part| [part.title, part.gone, part.come] }
    expect(told).to eq([["Ward", ["Lowers it.", "B · 2"], ["May lower it."]], ["Come", [], ["Here."]],
                        ["Gone", ["Away."], []]])
    expect(described_class::Since.of(older, older)).to eq([])
  end

  it "keeps every mark inside its picture, for forests and charts of any numbers" do
    random = Random.new(4)
    40.times do
      studies = Array.new(random.rand(2..9)) do |place|
        total = random.rand(10..400)
        trial("t#{place}", [random.rand(0..total), total, random.rand(0..total), total], published: "20#{10 + place}")
      end
      pool = together(an_outcome, *studies)
      next unless pool.pooled

      inside(described_class::Pictures::Forest.of(pool))
    end
    40.times do
      points = Array.new(random.rand(1..40)) { |day| Hobrin::Brief::Measure::Point.new(day: Date.new(2026, 1, 1) + day, events: random.rand(-50..50), of: nil) }
      measure = Hobrin::Brief::Measure.new(id: 1, name: "Value", way: :value, points:, started: Date.new(2026, 1, 10),
                                           target: random.rand(-60..60))
      chart = Hobrin::Brief::Measure::Chart.new(measure)
      inside(described_class::Pictures::RunChart.of(chart, measure))
      expect(chart.ticks.size).to be_between(2, 7)
    end
  end

  include WeighingHelp

  def inside(picture)
    picture.shapes.reject { |kind, *| %w[dot box].include?(kind) }.each do |_, _, places, _|
      places.each_slice(2) do |x, y|
        expect([picture.name, x,
                y]).to match([picture.name, be_between(-1, picture.width), be_between(-1, picture.height)])
      end
    end
  end
end
