# frozen_string_literal: true

require "oai"

# Harvesting both ways. Source: the oai gem, as the client of ours and as the provider that ours
# asks.
RSpec.describe "Harvesting", :outside do
  def papers(count)
    Array.new(count) do |place|
      a_record(id: "10.5555/h#{place}", doi: "10.5555/h#{place}",
               title: "Night paper #{place} & more <b>",
               keywords: ["noise"])
    end
  end

  def filled(count)
    with_home do |context|
      csl = Hobrin::Exchange::CslJson::Writer.call(papers(count))
      import = Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(csl), name: "first")
      expect(import.added).to eq(count)
      Hobrin::Services::Imports::ImportRecords.new(context).call(
        StringIO.new(Hobrin::Exchange::CslJson::Writer.call([a_record(id: "gone",
                                                                      title: "To go")])),
        name: "second"
      )
      yield context
    end
  end

  def served(context, &) = Wire.serve(Hobrin::Server.app(context, home: context.incoming.home), &)

  it "gives the client of the oai gem all records once, over several parts, and those that went" do
    filled(450) do |context|
      Hobrin::Services::Imports::Change.new(context).take_back(context.library.imports.all.first.id)
      served(context) do |port|
        client = OAI::Client.new("http://127.0.0.1:#{port}/oai")
        expect(client.identify.deleted_record).to eq("persistent")
        expect(client.list_metadata_formats.map(&:prefix)).to eq(%w[oai_dc mods marcxml])
        %w[oai_dc mods marcxml].each do |metadata_prefix|
          all = client.list_records(metadata_prefix:).full.to_a
          expect([metadata_prefix, all.map { |one| one.header.identifier }.uniq.size, all.size]).to eq([metadata_prefix, 451, 451])
          expect(all.select(&:deleted?).map { |one| one.header.identifier }).to eq(["oai:hobrin:gone"])
          expect(all.first.metadata.to_s).to include("Night paper 0 &amp; more &lt;b&gt;")
        end
        expect(client.list_identifiers.full.count).to eq(451)
        expect(client.get_record(identifier: "oai:hobrin:10.5555/h7").record.metadata.to_s).to include("Night paper 7")
        spans = [{ from: Date.new(2026, 11, 23) }, { until: Date.new(2026, 11, 22) }].map do |span|
          client.list_identifiers(**span).count
        rescue OAI::NoMatchException
          0
        end
        expect(spans).to eq([200, 0])
      end
    end
  end

  it "tells what is wrong with a request by the codes of the protocol" do
    filled(3) do |context|
      answer = lambda { |params|
        Hobrin::Services::Catalogues::AnswerOai.new(context).call(params,
                                                                  address: "http://h/oai")[/<error code="(\w+)"/, 1]
      }
      { {} => "badVerb", { "verb" => "Dance" } => "badVerb",
        { "verb" => "ListRecords" } => "badArgument",
        { "verb" => "ListRecords", "metadataPrefix" => "x" } => "cannotDisseminateFormat",
        { "verb" => "ListSets" } => "noSetHierarchy",
        { "verb" => "ListRecords", "metadataPrefix" => "mods", "set" => "a" } => "noSetHierarchy",
        { "verb" => "ListRecords", "metadataPrefix" => "mods",
          "until" => "1999-01-01" } => "noRecordsMatch",
        { "verb" => "ListRecords", "metadataPrefix" => "mods",
          "from" => "2026-02-30" } => "badArgument",
        { "verb" => "ListRecords", "metadataPrefix" => "mods", "from" => "2026",
          "x" => "y" } => "badArgument",
        { "verb" => "ListRecords", "metadataPrefix" => "mods", "from" => "2026-01-01",
          "until" => "2026-01-02T00:00:00Z" } => "badArgument",
        { "verb" => "ListRecords", "resumptionToken" => "x" } => "badResumptionToken",
        { "verb" => "ListRecords", "resumptionToken" => "mods!!!5",
          "metadataPrefix" => "mods" } => "badArgument",
        { "verb" => "ListRecords", "resumptionToken" => "nods!!!5" } => "cannotDisseminateFormat",
        { "verb" => "GetRecord", "metadataPrefix" => "mods" } => "badArgument",
        { "verb" => "GetRecord", "metadataPrefix" => "mods",
          "identifier" => "oai:hobrin:none" } => "idDoesNotExist",
        { "verb" => "ListMetadataFormats", "identifier" => "x" } => "idDoesNotExist",
        { "verb" => "Identify", "metadataPrefix" => "mods" } => "badArgument",
        { "verb" => "Identify" } => nil }
        .each { |params, code| expect([params, answer[params]]).to eq([params, code]) }
    end
  end

  def an_inquiry_keeps(context, id)
    inquiry = Hobrin::Services::Inquiries::Start.new(context).call("Does night care help?")
    decision = Hobrin::Screening::Decision.new(record_id: id, verdict: :keep, reason: nil, note: "")
    Hobrin::Services::ApplyEdit.new(context).call(inquiry, Hobrin::Edits::Screen::Decide.new(decision:))
  end

  def provider(model)
    kind = Class.new(OAI::Provider::Base) do
      repository_name "Foreign"
      repository_url "http://127.0.0.1/oai"
      record_prefix "oai:foreign"
      admin_email "nobody@example.invalid"
      deletion_support OAI::Const::Delete::TRANSIENT
    end
    kind.source_model(model)
    lambda do |env|
      params = Rack::Request.new(env).params.transform_keys(&:to_sym)
      [200, { "content-type" => "text/xml" }, [kind.new.process_request(params)]]
    end
  end

  it "harvests a provider of the oai gem: all records once, and honours those that were deleted since" do
    papers = Array.new(130) do |place|
      ForeignPapers::Paper.new(place + 1, Time.utc(2026, 11, 1),
                               false)
    end
    with_home do |context|
      allow(Hobrin::Services::Imports::WakeWorker).to receive(:new).and_return(instance_double(Hobrin::Services::Imports::WakeWorker,
                                                                                               call: nil))
      Wire.serve(provider(ForeignPapers.new(papers))) do |port|
        context = Hobrin::Boot.context(home: context.incoming.home, clock: Builders::FixedClock,
                                       allowed: "127.0.0.1:#{port}")
        source = Hobrin::Services::Catalogues::KeepSources.new(context).add(name: "Foreign",
                                                                            address: "http://127.0.0.1:#{port}/oai",
                                                                            protocol: "oai")
        expect(source.to_h).to include(format: "oai_dc", about: "Foreign")
        harvest = lambda do
          Hobrin::Services::Catalogues::HarvestSource.new(context).call(source.id)
          Hobrin::Services::Imports::Work.new(context).call
          context.library.imports.all.first.to_h.slice(:state, :added, :known, :refused, :message)
        end
        expect(harvest.call).to eq({ state: "done", added: 130, known: 0, refused: 0,
                                     message: nil })
        expect(context.library.record("foreign:oai:foreign:7").title).to eq("Foreign paper 7")
        an_inquiry_keeps(context, "foreign:oai:foreign:8")
        later = Time.utc(2026, 12, 1)
        papers[6..8] = [ForeignPapers::Paper.new(7, later, true), ForeignPapers::Paper.new(8, later, true),
                        ForeignPapers::Paper.new(9, later, false, "A mended title")]
        papers << ForeignPapers::Paper.new(200, later, false)
        expect(harvest.call).to eq({ state: "done", added: 1, known: 1, refused: 0,
                                     message: "The catalogue deleted 1 that an inquiry includes: they stay." })
        expect(context.library.record("foreign:oai:foreign:7")).to be_nil
        expect(context.library.record("foreign:oai:foreign:8").title).to eq("Foreign paper 8")
        expect(context.library.record("foreign:oai:foreign:9").title).to eq("A mended title")
        expect(context.library.size).to eq(130)
        titles = ["foreign paper 7", "foreign paper 9", "mended title"]
        expect(titles.map { |text| context.evaluator.count(words(text)) }).to eq([0, 0, 1])
      end
    end
  end
end
