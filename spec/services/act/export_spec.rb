# frozen_string_literal: true

# A brief says the same in every file, as other programs read them.
RSpec.describe Hobrin::Services::Act::Export, :sample, :client do
  include Editing

  def file(name, ending, id: 1, **rest) = described_class.new(context, **rest).call(opened(id), name, ending).body
  # Without what a layout may change: spaces of any width, and where a line ends.
  def bare(text) = text.gsub(/[[:space:]]+/, "")
  def numbers(text) = text.gsub(/[\u2009\u00A0]/, "").scan(/[−-]?\d+(?:\.\d+)?/)

  # The tables of the brief on the screen, cell by cell.
  def cells_of_page(id)
    page = Nokogiri::HTML(visit_page("/inquiries/#{id}/act").body)
    page.css(".findings-table tbody td, .evidence:not(.findings-table) tbody td, .told-findings li").map(&:text)
  end

  it "has every number of the page in PDF, Word, HTML and Markdown, for every inquiry" do
    (1..5).each do |id|
      asked = cells_of_page(id).flat_map { |cell| numbers(cell) }.uniq
      expect([id, asked.size]).to match([id, be > (id == 5 ? 0 : 10)])
      { "pdf" => ->(body) { OpenedFiles.pdf(body).gsub(/(?<=\d) (?=\d{3}\b)/, "") }, "html" => ->(body) { OpenedFiles.html(body) },
        "docx" => ->(body) { OpenedFiles.docx(body) }, "md" => ->(body) { body } }.each do |ending, reading|
        text = reading.call(file("brief", ending, id:))
        expect([id, ending, asked - numbers(text)]).to eq([id, ending, []])
        expect([id, ending,
                bare(text)]).to match([id, ending, include(bare(inquiry(id).question.text), "Made-upsampledata")])
      end
    end
  end

  it "carries model, heterogeneity, each reason of the certainty and the appraisal in every file" do
    judgement = Hobrin::Appraisal::Outcome::Judgement.new(steps: -1, why: "All from one region.")
    edit(Hobrin::Edits::Outcomes::JudgeCertainty.new(outcome_id: 1, domain: :indirectness, judgement:))
    row = Hobrin::Services::Appraise::Read.new(context, opened).table.first
    said = [Hobrin::Brief::PooledFacts.new(row.pool).call.first, "All from one region.", row.certainty.start_why,
            *row.certainty.lines.reject { |line| line.steps.zero? }.map(&:why), "some concerns", "4 papers, 654 people"]
    { "pdf" => ->(body) { OpenedFiles.pdf(body) }, "html" => ->(body) { OpenedFiles.html(body) },
      "docx" => ->(body) { OpenedFiles.docx(body) }, "md" => ->(body) { body.delete("\\") } }.each do |ending, reading|
      text = bare(reading.call(file("brief", ending)))
      expect([ending, said.reject { |words| text.include?(bare(words)) }]).to eq([ending, []])
    end
    expect(OpenedFiles.html(file("brief", "html"))).to include("applicability: different for people")
    book = OpenedFiles.xlsx(file("brief", "xlsx"))
    expect(book["Certainty"].flatten).to include("All from one region.", "low", "Indirectness")
    expect(book["Pooled"][1]).to include("Delirium", 654, row.pool.pooled.i2.round(4))
    expect(book["Appraisal"].map { |cells| cells[2] }).to include("some concerns", "high risk")
  end

  it "has the numbers of the table of findings as numbers in Excel and CSV" do
    lines = Hobrin::Services::Appraise::Read.new(context, opened).findings_table
    rows = OpenedFiles.xlsx(file("brief", "xlsx"))
    findings = rows["Findings"].drop(1)
    expect(findings.first(lines.lines.size).map { |row| row[0] }).to eq(lines.lines.map { |line| line.outcome.name })
    findings.first(lines.lines.size).zip(lines.lines, lines.rows).each do |row, line, told|
      expect(row[3]).to eq(line.papers)
      expect(row[6, 3]).to match(row[6, 3].map { be_a(Float) })
      words = Hobrin::Brief::Words::OfResult.new(told.pool.measure)
      estimate, low, high = row[6, 3].map { |value| words.decimal(value) }
      expect("#{estimate} (#{low} to #{high})").to eq(words.of(told.effect))
    end
    table = CSV.parse(file("findings", "csv"), headers: true)
    expect(table.map { |row| row.values_at("Outcome", "Estimate").map(&:to_s) })
      .to eq(findings.first(lines.lines.size).map { |row| row.values_at(0, 6).map(&:to_s) })
    points = inquiry.acting.measures.sum { |one| one.points.size }
    expect(CSV.parse(file("measures", "csv"), headers: true).size).to eq(points)
    expect(rows["Evidence"].last.first).to include("Made-up sample data")
  end

  it "names the papers behind it on the page for the ward" do
    page = bare(OpenedFiles.pdf(file("ward", "pdf")))
    expect(page).to include(bare("Elvesellis 2021, Archives of Going Home: randomised trial, level 2"))
    expect(inquiry.papers.map(&:record_id).size).to eq(6)
  end

  it "fills one A4 page for the ward, however much was written" do
    long = ("word " * 120).strip
    plan = Hobrin::Brief::ActionPlan::PROMPTS.transform_values { long[0, 500] }
    edit(Hobrin::Edits::Practice::WriteBrief.new(conclusion: long[0, 600], plan:))
    12.times do |place|
      given = { name: "#{long[0, 110]} #{place}", kind: "events", better: :less, matters: :important }
      edit(Hobrin::Edits::Outcomes::Write.new(outcome_id: nil, given:))
    end
    (1..5).each { |id| expect([id, OpenedFiles.pages(file("ward", "pdf", id:))]).to eq([id, 1]) }
    expect(OpenedFiles.pdf(file("ward", "pdf"))).to include("more outcomes in the full report")
  end

  it "asks no other machine for anything in its HTML, and holds text that is no markup" do
    edit(Hobrin::Edits::Practice::WriteBrief.new(conclusion: %(<script>alert(1)</script> & "<img src=x>" | _a_ 日本 =1+1),
                                                 plan: {}))
    page = file("brief", "html")
    opened = Nokogiri::HTML(page)
    asking = "//@src|//@href|//@srcset|//@action|//@style|//script|//img|//link|//iframe|//object"
    expect(opened.xpath(asking).to_a).to eq([])
    expect(opened.at_css("style").text).not_to match(/url\(|@import/)
    expect(opened.text).to include("<script>alert(1)</script> & \"<img src=x>\"")
    expect(OpenedFiles.docx(file("brief", "docx"))).to include("<script>alert(1)</script>")
    expect(bare(OpenedFiles.pdf(file("brief", "pdf")))).to include("<script>alert(1)</script>")
    expect(file("brief", "md")).to include('\<script\>alert(1)\</script\> \& "\<img src=x\>" \| \_a\_')
  end

  # Source: FHIR R5 (HL7, 2023), by fhir_models 5.0.
  it "is FHIR R5: valid, every reference resolved, with the numbers of the table" do
    texts = (1..5).to_h { |id| [id, file("brief", "fhir.json", id:)] }
    expect(OpenedFiles.fhir(texts.values).map(&:uniq)).to eq([[{}]] * 5)
    texts.each do |id, text|
      entries = JSON.parse(text).fetch("entry")
      urls = entries.map { |entry| entry["fullUrl"] }
      references = text.scan(/"reference": "([^"]+)"/).flatten
      expect([id, references.size, references - urls, urls.uniq.size]).to match([id, be > 10, [], urls.size])
      resources = entries.map { |entry| entry["resource"] }.group_by { |one| one["resourceType"] }
      expect(resources.transform_values(&:size)).to include("Citation" => inquiry(id).kept_ids.size,
                                                            "EvidenceReport" => 1)
      compare(resources.fetch("Evidence", []), Hobrin::Services::Appraise::Read.new(context, opened(id)).table)
    end
  end

  def compare(evidence, rows)
    of_papers = rows.flat_map { |row| row.pool.tests ? [] : row.pool.studies.map { |study| "#{row.outcome.name}: #{study.label}" } }
    expect(evidence.map { |one| one["title"] }).to eq(rows.map { |row| row.outcome.name } + of_papers)
    roles = evidence.flat_map { |one| one["variableDefinition"] }.group_by { |one| one.dig("variableRole", "coding", 0, "code") }
    exposed = rows.select { |row| row.outcome.sort.compares? }.map { |row| row.pool.arms.intervention_name }
    expect(roles.fetch("exposure", []).map { |one| one.dig("observed", "display") }.uniq).to eq(exposed.uniq)
    evidence.first(rows.size).zip(rows).select { |_, row| row.effect }.each do |one, row|
      asked = [row.effect.estimate, row.effect.low, row.effect.high].map { |value| row.pool.measure.told(value) }
      first = one["statistic"].first
      range = first["attributeEstimate"].first["range"]
      told = [first["quantity"], range["low"], range["high"]].map { |quantity| quantity["value"] }
      expect(told).to match(asked.map { |value| be_within(1e-5).of(value) })
      rating = one["certainty"].first["rating"]["coding"].first["code"]
      expect(rating.tr("-", " ")).to eq(row.certainty.word)
    end
  end

  # Sources: RFC 5545 for the calendar; ISO/IEC 18004 as jsQR reads it.
  it "gives its days to a calendar, and its address as a code on the printed page" do
    calendar = file("days", "ics")
    lines = calendar.gsub("\r\n ", "").split("\r\n")
    expect(lines.first(2) + lines.last(1)).to eq(%w[BEGIN:VCALENDAR VERSION:2.0 END:VCALENDAR])
    expect(lines.grep(/\ADTSTART/)).to eq(%w[DTSTART;VALUE=DATE:20261207 DTSTART;VALUE=DATE:20261201])
    expect(calendar.lines.map { |line| line.chomp.bytesize }.max).to be <= 75
    expect(calendar).to eq(file("days", "ics"))
    address = "http://127.0.0.1:4567/shared/#{"a" * 43}"
    expect(OpenedFiles.code(file("ward", "pdf", address:))).to eq(address)
    expect { file("days", "ics", id: 2) }.to raise_error(Hobrin::GoneError)
  end

  it "names its references in the style that was chosen, and refuses files that there are not" do
    apa = file("brief", "md", style: "apa")
    expect([apa,
            file("brief", "md",
                 style: "nothing")]).to match([include("Style: APA"), include("Style: Vancouver")])
    [%w[brief exe], %w[ward docx], %w[other pdf], ["brief", nil], %w[findings pdf]].each do |name, ending|
      expect { file(name, ending) }.to raise_error(Hobrin::GoneError)
    end
  end
end
