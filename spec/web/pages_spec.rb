# frozen_string_literal: true

# What pages show, made before it is drawn.
RSpec.describe "Pages", :sample do
  def page(step, id: 1, errors: {}, **params)
    fields = Hobrin::Web::Fields.new(params.transform_keys(&:to_s))
    Hobrin::Web::Steps.const_get(step)::Page.new(context: context.pinned, opened: opened(id), fields:,
                                                 errors:)
  end

  it "says in the dock of Word where the papers are, and which blocks wait for a name" do
    expect(page(:Terms).dock.where).to eq("papers are in all 3")
    empty = %w[I O].reduce(inquiry) { |now, key| now.with_block(now.block(key).with(terms: [])) }
    allow(context.inquiries).to receive(:find).and_return(saved.with(inquiry: empty))
    expect(page(:Terms).dock.where).to eq("papers are in P, no terms yet in I and O")
  end

  it "tells an effect with its direction, its ½ and its extremes in words" do
    words = ->(*counts) { Hobrin::Brief::Words::OfEffect.new(Hobrin::Appraisal::Effect.of(a_table(*counts))) }
    fewer, more = words[0, 10, 5, 10], words[5, 10, 0, 10]
    expect([fewer.needed, more.needed]).to eq(%w[2.0 2.0])
    expect([fewer.needed_words, more.needed_words])
      .to match([/\Afor one fewer; 95 % /, /\Afor one more; 95 % /])
    expect([fewer.corrected, words[3, 10, 5, 10].corrected]).to eq(["½ added to each cell", nil])
    equal = words[5, 50, 10, 100]
    expect([equal.needed,
            equal.needed_words]).to match(["none",
                                           /risks are equal; 95 % .* for one more through ∞ to .* for one fewer/])
    expect(words[0, 90_000, 4_000, 4_000].ratio_interval).to eq("under 0.01 to under 0.01")
    expect(words[4_000, 4_000, 0, 90_000].ratio).to eq("over 1\u2009000")
    expect([words[1, 8, 0, 8].risks,
            words[1, 80_000, 0, 80_000].difference]).to eq(["12.5 % compared with 0.0 %", "0.001"])
    expect(words[5, 8, 5, 1_000].ratio).to eq("125.00")
  end

  it "rounds a half up, as it is written" do
    format = Object.new.extend(Hobrin::Web::Formatting)
    expect([0.125, 2.675, 1.005, -0.125, 0.285].map { |one| format.decimal(one) }).to eq(%w[0.13 2.68 1.01 −0.13 0.29])
    expect([format.hundredths(0.285), format.points(-0.1235),
            format.decimal(0.5, 0)]).to eq(%w[29 −12.4 1])
  end

  it "shows a filter's published figures only for its own terms, and warns where widths are out of order" do
    filters = page(:Narrow, show: "filters", kind: "treatment").filters
    shown = filters.rows.to_h do |row|
      [row.leaf.width, filters.percent(row.published, :sensitivity)]
    end
    expect(shown).to eq("sensitive" => "—", "balanced" => "—", "specific" => "93 %")
    expect(filters.adapted(filters.rows.first.published))
      .to include("figures (99 and 70 %) do not apply to these terms")
    expect(filters.out_of_order).to be_nil
    disordered = page(:Narrow, show: "filters", kind: "prognosis").filters
    sizes = disordered.rows.map { |row| disordered.size(row) }
    expect(sizes).not_to eq(sizes.sort.reverse)
    expect(disordered.out_of_order).to include("“sensitive” leaves #{sizes.first} paper",
                                               "wrong way round")
  end

  it "counts one as one" do
    Hobrin::Services::Inquiries::Start.new(context).call("Do earplugs help?")
    mark("I", "earplugs", id: 6)
    add_words("I", "earplug*", id: 6)
    expect(page(:Terms, id: 6).tabs.map(&:note)).to include("1 term")
  end

  it "folds lines of one kind in a row, and opens the fold in which a line is looked at" do
    folds = page(:Trail).folds
    expect(folds.filter_map(&:words))
      .to include("30 papers screened", "4 papers added manually", "5 papers screened",
                  "20 terms added", "5 papers appraised")
    expect(folds.sum { |fold| fold.rows.size }).to eq(saved.version)
    looking = page(:Trail, line: "20").folds.select(&:open)
    expect(looking.map(&:words)).to eq(["20 terms added"])
  end

  it "leaves the lines of one step, and keeps that over a line that is looked at" do
    trail = page(:Trail, step: "narrow")
    expect(trail.folds.flat_map(&:rows).map(&:step).uniq).to eq(["Narrow"])
    expect(trail.path_to(3)).to eq("/inquiries/1/trail?line=3&step=narrow")
    steps = trail.filter.steps.map { |one| [one.name, one.size, one.chosen] }
    expect(steps).to include(["All", saved.version, false], ["Narrow", 7, true])
    expect(trail.filter.people).to eq([])
  end

  it "draws the trail: a mark for each line, higher for more papers, bands that cover the steps" do
    picture = page(:Trail).picture
    lines = context.inquiries.trail(1).reverse
    by_papers = picture.marks.zip(lines).sort_by { |_, line| line.count_after }
    expect(by_papers.map { |mark, _| mark.y })
      .to eq(by_papers.map { |mark, _| mark.y }.sort.reverse)
    expect(picture.marks.each_cons(2)).to all(satisfy { |one, two| one.x < two.x })
    expect(picture.bands.each_cons(2))
      .to all(satisfy { |one, two| (one.x + one.width - two.x).abs < 0.2 })
    expect(picture.summary).to include("Narrow, lines 28 to 30: 33 left", "#{opened.final} left.")
  end

  it "names a step of the cascade by what it is, so that its card stays when the steps move" do
    before = page(:Narrow, opened: "limit-age").taken_away.title
    taken = opened.cascade.steps.find { |step| !step.block? && step.source.name == :age }.removed.size
    edit(Hobrin::Edits::Limits::MoveUp.new(slot: :dates))
    expect(page(:Narrow, opened: "limit-age").open_row.label).to eq("Adults, 19 and over")
    expect(before).to start_with("“Adults, 19 and over” removed #{taken}")
    expect(page(:Narrow, opened: "limit-moon").open_row).to be_nil
  end

  it "cannot be changed, nor read on, once it is made" do
    narrow = page(:Narrow, show: "check")
    expect(narrow).to be_frozen
    expect { narrow.instance_variable_set(:@rows, []) }.to raise_error(FrozenError)
    expect(ReadsFirst.unfrozen(narrow)).to eq([])
    expect(narrow.reviews).to be_frozen
  end

  it "shows what was typed and refused, and what is stored where nothing was sent" do
    narrow = page(:Narrow, errors: { aim: "Two numbers." }, aim_from: "forty")
    expect([narrow.aim.from, narrow.aim.to]).to eq(["forty", 40])
  end
end

RSpec.describe Hobrin::Web::Formatting do
  include described_class

  it "writes numbers, differences and decimals as the page has them" do
    expect([number(1_234_567), count_of(1, "paper"), count_of(1_000, "paper")])
      .to eq(["1\u2009234\u2009567", "1 paper", "1\u2009000 papers"])
    expect([signed(-3), signed(3), decimal(-0.004), decimal(-0.0051, 3), decimal(Float::INFINITY),
            points(0.123)])
      .to eq(["−3", "+3", "0.00", "−0.005", "∞", "12.3"])
  end
end

RSpec.describe Hobrin::Web::Pictures do
  include described_class

  def numbers(svg, name) = svg.scan(/#{name}="(-?[\d.]+)"/).flatten.map(&:to_f)

  it "draws bars no longer than their track, and nothing for nothing" do
    expect(numbers(bar(50, 10, 100, "P"), "width")).to eq([100.0, 50.0, 10.0])
    expect(numbers(bar(0, 0, 0, "P"), "width")).to eq([100.0, 0.0, 0.0])
    expect(numbers(bar(500, 10, 100, "P"), "width").max).to eq(100.0)
  end

  it "draws a step of the cascade centred, narrower for fewer papers" do
    widths = [1_000, 100, 10, 1, 0].map do |size|
      numbers(cascade_bar(size, nil, 1_000, "x"), "width").first
    end
    expect(widths).to eq(widths.sort.reverse)
    expect(widths.last).to eq(0.0)
    x, = numbers(cascade_bar(100, nil, 1_000, "x"), "x")
    expect((2 * x) + widths[1]).to be_within(0.02).of(100)
  end
end
