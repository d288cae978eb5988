# frozen_string_literal: true

require "logger"

# The one road on which a kept inquiry is changed.
RSpec.describe Hobrin::Services::ApplyEdit, :sample do
  def offers(id = 1) = Hobrin::Services::Narrow::WhatIfs.new(context, opened(id)).call

  # Every SQL statement that a block makes the stores send.
  def statements(&block)
    log = StringIO.new
    logger = Logger.new(log)
    context.library.now
    dbs = Sequel::DATABASES.last(3)
    dbs.each { |db| db.loggers << logger }
    block.call
    log.string.lines
  ensure
    dbs.each { |db| db.loggers.delete(logger) }
  end

  describe "when the library changes between an offer and its press" do
    def import_heading(heading)
      Hobrin::Services::Imports::ImportThesaurus.new(context).call([*context.thesaurus.headings, heading])
    end

    # Where a move stands among all of them.
    def place(name)
      Hobrin::Narrowing::Moves.of(inquiry, Hobrin::Services::Surroundings.new(context, saved)).call.index { |one| one.name == name }
    end

    def last_offer = offers.max_by { |one| place(one.name) }

    it "makes the change that was read, though another one stands in its place by then" do
      offer = last_offer
      before = place(offer.name)
      import_heading(a_heading("Adult Wards", related: ["Intensive Care Units"]))
      expect(place(offer.name)).not_to eq(before)
      try(offer)
      expect(last_line.change).to eq("Tried: #{offer.wording}")
    end

    it "says that a change can no longer be made, and makes none" do
      offer = offers.find { |one| one.move.kind == :related }
      headings = context.thesaurus.headings.map { |one| one.with(related: []) }
      Hobrin::Services::Imports::ImportThesaurus.new(context).call(headings)
      expect { try(offer) }.to raise_error(Hobrin::GoneError, /change is not here/)
      expect(last_line.kind).not_to eq(:moves_tried)
    end

    it "keeps dismissed what was dismissed, and nothing else" do
      dismissed = last_offer
      edit(Hobrin::Edits::WhatIfs::Dismiss.new(name: dismissed.name))
      others = offers.map(&:name)
      import_heading(a_heading("Adult Wards", related: ["Intensive Care Units"]))
      expect(offers.map(&:name)).to include(*others)
      expect(offers.map(&:name)).not_to include(dismissed.name)
    end
  end

  it "parses the inquiry once, counts it once, and holds the write lock for two statements" do
    context.evaluator
    allow(Hobrin::Store::InquiryDocument).to receive(:load).and_call_original
    allow(Hobrin::Narrowing::Cascade).to receive(:of).and_call_original
    sent = statements { add_words("O", "insomnia*").opened.final }
    expect(Hobrin::Store::InquiryDocument).to have_received(:load).once
    expect(Hobrin::Narrowing::Cascade).to have_received(:of).once
    locked = sent.drop_while { |line| !line.include?("BEGIN") }.take_while { |line| !line.include?("COMMIT") }
    expect(locked.drop(1).map { |line| line[/UPDATE|INSERT|SELECT|DELETE/] })
      .to eq(%w[UPDATE INSERT])
  end

  it "makes the edit again on what a quicker writer left, as long as it is about something else" do
    inquiries = context.inquiries
    quicker = [-> { add_words("I", "muff*") }]
    allow(inquiries).to receive(:find).and_wrap_original do |find, id|
      find.call(id).tap { quicker.shift&.call }
    end
    add_words("O", "insomnia*")
    expect([inquiry.block("I").terms.last.label, inquiry.block("O").terms.last.label])
      .to eq(["muff*", "insomnia*"])
    expect(context.inquiries.trail(1).first(2).map(&:number))
      .to eq([saved.version, saved.version - 1])
  end

  it "counts before by what the last change left, and anew when the library has changed since" do
    add_words("O", "insomnia*")
    line = last_line
    twin = context.library.newest(opened.cascade.found, limit: 1).first.with(id: "twin", doi: nil)
    Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(Hobrin::Exchange::CslJson::Writer.call([twin])))
    add_words("O", "nightmare*")
    expect([last_line.count_before, line.count_after])
      .to eq([line.count_after + 1, line.count_after])
  end

  it "keeps kind and facts as data, and no sentence" do
    context.library.now
    rows = Sequel::DATABASES.last(3).find { |db| db.table_exists?(:trail) }[:trail].where(inquiry_id: 1)
    expect(rows.select_map(:kind).uniq)
      .to include("question_asked", "terms_added", "limit_put", "paper_decided")
    expect(rows.where(kind: "limit_put").get(:facts)).to include('"is":"limit"')
    expect(rows.columns).not_to include(:change)
  end
end
