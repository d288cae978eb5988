# frozen_string_literal: true

# A word of its own is written into every part of an inquiry of each of two wards. Whatever anybody
# asks for, no answer, log or letter holds a word of a ward that is not theirs.
RSpec.describe "Other wards", :client do
  include SmallWard
  include Ward
  include EveryAddress

  let(:word) { { first: "zanlock", other: "quevrin" }.freeze }

  # Writes a word into an inquiry wherever a person may write.
  def plant(id, word)
    edits = Hobrin::Edits
    draft = edits::Ask::Draft.new(situation: "On our ward #{word}.", text: "Does #{word} help patients to sleep?")
    decide = Hobrin::Screening::Decision.new(record_id: "came", verdict: :keep, note: "#{word} noted")
    kept = Hobrin::Appraisal::Paper.new(record_id: "came", design: "randomized_trial", finding: "#{word} found")
    [edits::Ask::WriteQuestion.new(draft:, press: edits::Ask::Mark.new(key: "P", words: "patients")),
     edits::Additions::AddParts.words("P", word),
     edits::Screen::Decide.new(decision: decide), edits::Appraise::SaveAppraisal.new(paper: kept),
     edits::Outcomes::Write.new(outcome_id: nil, given: { name: "#{word} outcome", kind: "events" }),
     edits::Trail::NameLine.new(name: word, tree: Hobrin::Strategy::Lines::Line.new(name: "3")),
     edits::Practice::WriteBrief.new(conclusion: "#{word} may help.", plan: { what: word })]
      .each { |edit| Hobrin::Services::ApplyEdit.new(context).call(id, edit) }
    Hobrin::Services::Notes.new(context, id).write("inquiry", "", "#{word} to the others")
  end

  before do
    people
    came = Hobrin::Exchange::CslJson::Writer.call([a_record(id: "came", title: "Sleep, from a file")])
    Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(came), name: "ward.json")
    @import = context.library.imports.all.first.id
    other = Hobrin::Services::Inquiries::Start.new(context).call("Does quiet help?")
    context.standings.put(other, ward_id: wards[:other].id, owner_id: people[:stranger])
    @inquiries = { first: 1, other: }
    @inquiries.each { |ward, id| plant(id, word.fetch(ward)) }
  end

  # Everything about both inquiries, and everything that is about none.
  def addresses_of_both
    of_first = every_address
    of_other = of_first.grep(%r{\A/inquiries/1(?=[/?]|\z)}).map { |path| path.sub("/inquiries/1", "/inquiries/#{@inquiries[:other]}") }
    sru = @inquiries.values.flat_map do |id|
      ["#{id}:1", "#{id}:4"].map { |line| "/sru?query=#{Rack::Utils.escape(%(cql.resultSetId = "#{line}"))}" }
    end
    [*of_first, *of_other, *sru, "/library?back=#{@import}", "/oai?verb=ListRecords&metadataPrefix=oai_dc",
     "/sru?operation=explain", "/sru?query=sleep", "/account"]
  end

  def words_seen(paths)
    paths.to_h do |path|
      body = visit_page(path).body
      # What an inquiry's own page repeats of the address is no answer.
      [path, word.values.select { |one| body.downcase.include?(one) }]
    end.reject { |_, words| words.empty? }
  end

  it "are not shown to anybody who is not on them, in any page, file, feed or answer to a catalogue" do
    log = StringIO.new
    @app = Hobrin::Web::App.build(context:, session_secret: "k" * 128, hosts: ["127.0.0.1"], log:,
                                  shared: { required: true, post: outbox })
    own = { owner: :first, reader: :first, stranger: :other }
    # The second and the librarian read what the reader does.
    seen = [nil, :owner, :reader, :stranger, :runs].to_h do |key|
      key ? sign_in(key) : clear_cookies
      [key, words_seen(addresses_of_both)]
    end
    seen.each do |key, found|
      others = found.transform_values { |words| words - [word[own[key]]] }.reject { |_, words| words.empty? }
      expect([key, others]).to eq([key, {}])
    end
    # It would find them: each ward reads its own.
    expect(own.to_h { |key, _| [key, seen[key].size > 15] }.values.uniq).to eq([true])
    expect(log.string).not_to match(/#{word.values.join("|")}/)
    expect(Dir[home.join("outbox/*").to_s].map { |file| File.read(file) }.join).not_to match(/#{word.values.join("|")}/)
  end

  it "keep the lines of their searches: a catalogue that asks is told the same of them as of none" do
    ask = lambda do |set|
      visit_page("/sru?query=#{Rack::Utils.escape(%(cql.resultSetId = "#{set}"))}").body.gsub(/\d+:\d+/, "")
    end
    sign_in(:stranger)
    expect([ask["1:3"], ask["1:3"].include?("<numberOfRecords>0")]).to eq([ask["99:2"], true])
    sign_in(:reader)
    expect(ask["1:3"]).to include("Sleep on wards")
    @app = Hobrin::Server.app(context, home:, shared: { required: true, post: outbox, open_catalogue: true })
    @_rack_test_sessions = @_rack_test_current_session = nil
    expect([ask["1:3"], visit_page("/sru?query=sleep").body.include?("Sleep on wards")]).to eq([ask["99:2"], true])
  end

  it "lose papers by an import that is taken back: the wards of others are counted, one's own are named" do
    losses = ->(key) { Hobrin::Services::Imports::Change.new(key ? context.as(person(key)) : context).losing(@import) }
    expect(losses[:librarian]).to have_attributes(named: [have_attributes(id: 1)], others: 1)
    expect(losses[:runs]).to have_attributes(named: [], others: 2)
    expect(losses[nil]).to have_attributes(named: have_attributes(size: 2), others: 0)
  end
end
