# frozen_string_literal: true

# Every step works with plain forms and links, without any script.
RSpec.describe "The application without scripts", :sample, :client do
  # Posts and goes where the answer sends one, as a browser does.
  def submit(path, **params)
    send_form(path, **params)
    expect([path, last_response.status]).to eq([path, 303])
    address = URI(last_response.headers["location"])
    visit_page([address.path, address.query].compact.join("?"))
  end

  def text = last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")

  it "says on a heading that indexers left what to use instead, and takes that in" do
    retired = a_heading("Ward Fear", use_instead: ["Agitation"])
    context.library.write_thesaurus(Hobrin::Thesaurus.new([*context.thesaurus.headings, retired]))
    expect(visit_page("/inquiries/1/word?open=heading:O:Ward%20Fear").body)
      .to include("no longer used for indexing")
    send_form("/inquiries/1/terms", block: "O", heading: "Agitation")
    expect(inquiry.block("O").terms.last.label).to eq("Agitation")
  end

  it "takes a question to a brief" do
    visit_page "/"
    submit "/inquiries", question: "Do earplugs help adults in intensive care to sleep?"
    expect(text).to include("mark the words yourself")
    question = "Do earplugs help adults in intensive care to sleep?"
    submit "/inquiries/6/ask", question:, seen: 1, mark: "I", mark_text: "earplugs", mark_from: 3
    submit "/inquiries/6/ask", question:, seen: 2, typed_P: "intensive care", kind: "treatment",
                               next: "word"
    expect(last_request.path).to eq("/inquiries/6/word")
    submit "/inquiries/6/terms", block: "I", typed: "earplug*"
    submit "/inquiries/6/terms", block: "P", heading: "Intensive Care Units"
    expect(text).to match(/P Intensive care \d+/i)
    submit "/inquiries/6/terms/2", turn: "main"
    expect(text).to include("with 3 narrower headings · main topic only")
    submit "/inquiries/6/terms/2", turn: "main"
    submit "/inquiries/6/limits", limit: "type", "values[]": "systematic review"
    expect(text).to match(/Study type Systematic review/)
    submit "/inquiries/6/aim", aim_from: 3, aim_to: 9
    visit_page "/inquiries/6/sift"
    paper = last_response.body[/name="paper" value="([^"]+)"/, 1]
    submit "/inquiries/6/decisions", paper:, verdict: "keep", note: "Good"
    submit "/inquiries/6/weigh",
           paper:, design: "systematic_review", reviewed: "randomized_trial",
           seen: context.inquiries.find(6).version, "answers[search]": "yes"
    expect(text).to include("Level 1")
    submit "/inquiries/6/outcomes", do: "write", name: "Delirium", paper:, numbers: "yes"
    submit "/inquiries/6/results", do: "write", paper:, outcome: 1, numbers: 1, form: "counts",
                                   events: "1 12", total: "571", comparison_events: "163", comparison_total: "577"
    expect(text).to include("0.69", "−13.5 to −3.7")
    version = context.inquiries.find(6).version
    submit "/inquiries/6/act", seen: version, conclusion: "Offer them.", what: "Offer earplugs"
    expect(text).to include("1 in the evidence set", "112/571",
                            "hobrin.text = &quot;earplug*&quot;")
    visit_page "/inquiries/6/evidence.ris"
    expect(last_response.headers["content-disposition"]).to include("hobrin-6-evidence.ris")
    expect(last_response.body.scan("TY  - JOUR").size).to eq(1)
    submit "/inquiries/6/decisions", paper:, verdict: "none"
    visit_page "/inquiries/6"
    expect([last_response.status,
            URI(last_response.headers["location"]).path]).to eq([303, "/inquiries/6/sift"])
    submit "/inquiries/6/delete"
    cards = -> { Nokogiri::HTML(last_response.body).css(".cards").text }
    expect(cards.call).not_to include("help adults in intensive care to sleep")
    submit "/inquiries/6/back"
    expect(cards.call).to include("help adults in intensive care to sleep")
  end
end
