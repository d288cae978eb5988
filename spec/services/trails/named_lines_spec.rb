# frozen_string_literal: true

# Lines with a name, and the search run again.
RSpec.describe "Lines of a search", :sample do
  let(:reader) { Hobrin::Services::Trails::Read.new(context) }

  def make(name, notation)
    edit(Hobrin::Edits::Trail::NameLine.new(name:, tree: Hobrin::Strategy::Lines::LineNotation.read(notation)))
  end

  def found(number) = context.inquiries.state_at(1, number).cascade(context.evaluator).final

  it "joins, meets and subtracts lines into new ones, which a search can name" do
    make("Broad", "28")
    { "either" => ["20 or 28", found(20) | found(28)], "both" => ["20 and broad", found(20) & found(28)],
      "only" => ["20 not (broad or 26)", found(20) - found(28) - found(26)], "again" => ["only or both", nil] }
      .each do |name, (notation, expected)|
      make(name, notation)
      set = reader.at_name(saved, name).papers
      expect([name, set]).to eq([name, expected]) if expected
      searched = Hobrin::Services::Library::Search.new(context).call("cql.resultSetId = #{name}",
                                                                     inquiry_id: 1)
      expect(searched.set).to eq(set)
      expect(context.evaluator.call(Hobrin::Strategy::Cql.read(searched.cql,
                                                               context.vocabulary))).to eq(set)
    end
    expect(reader.named(saved).map { |one| [one.line.name, one.size] })
      .to eq(inquiry.lines.map { |line| [line.name, reader.at_name(saved, line.name).papers.size] })
  end

  it "says what is wrong with a line, and lets none go that another is made of" do
    make("broad", "28")
    make("less", "broad not 30")
    { %w[broad 20] => :name, %w[and 20] => :name, ["x", "20 not 999"] => :notation, %w[x brod] => :notation,
      %w[x 1] => :notation, ["x", "20 near 21"] => :notation }.each do |(name, notation), field|
      expect { make(name, notation) }.to raise_error(Hobrin::InputError) { |e| expect(e.errors.keys).to eq([field]) }
    end
    expect { make("x", "brod") }.to raise_error(Hobrin::InputError, /broad/)
    expect { edit(Hobrin::Edits::Trail::RemoveLine.new(name: "broad")) }.to raise_error(Hobrin::InputError,
                                                                                        /“less” uses “broad”/)
    %w[less broad].each { |name| edit(Hobrin::Edits::Trail::RemoveLine.new(name:)) }
    expect(inquiry.lines).to eq([])
  end

  it "keeps named lines when an earlier line is restored, and takes one back when its naming is undone" do
    make("broad", "28")
    edit(Hobrin::Edits::Trail::Restore.new(number: 20))
    expect(inquiry.lines.map(&:name)).to eq(["broad"])
    2.times { undo }
    expect(inquiry.lines).to eq([])
  end

  it "tells after an import which papers are new and which lines moved, and writes that to the trail" do
    expect(Hobrin::Services::Trails::RunAgain.new(context).call(1)).not_to be_changed
    before = reader.at(1, context.inquiries.find(1).version)
    one, other = context.library.newest(opened.cascade.found, limit: 2)
    twins = [one.with(id: "new-1", doi: "10.5555/new-1", title: "Earplugs once more"),
             other.with(id: "new-2", doi: "10.5555/new-2", ages: [], title: "Eye masks once more")]
    Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(Hobrin::Exchange::CslJson::Writer.call(twins)))
    again = Hobrin::Services::Trails::RunAgain.new(context)
    outcome = again.call(1)
    rerun = outcome.rerun
    expect([rerun.known, rerun.before, rerun.now, rerun.fresh.size,
            rerun.reindexed]).to eq([true, 37, 38, 1, 0])
    expect(outcome.records.map(&:id)).to eq(["new-1"])
    brief = Hobrin::Services::Act::ReadBrief.new(context).call(opened)
    moved = before.lines.zip(brief.lines).reject { |old, new| old.count == new.count }
    expect(rerun.lines.map { |line| [line.before, line.now] })
      .to eq(moved.map { |old, new| [old.count, new.count] })
    expect(outcome.trail.map(&:before)).to all(be_positive)
    again.write(1)
    line = last_line
    expect([line.change, line.count_before,
            line.count_after]).to eq(["Re-run: 38 papers, 1 of them new", 37, 38])
    expect(context.inquiries.history(1).undo).to eq(line.number - 1)
    text = Hobrin::Services::Trails::Export.new(context).call(1, "txt").body
    expect(text).to match(/12 +Updates +Re-run on 2026-11-23/)
  end

  it "does not take a library built anew for the one before it" do
    with_home do |fresh|
      Hobrin::Services::Imports::ImportThesaurus.new(fresh).call(Hobrin::Demo::SampleThesaurus.headings)
      expect(fresh.library.at(context.library.version)).to be_nil
      expect(fresh.library.at(fresh.library.version)).to be_empty
    end
    expect(context.library.at(context.library.version).size).to eq(context.library.size)
  end
end
