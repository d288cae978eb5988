# frozen_string_literal: true

# People write to each other about parts of an inquiry, and see who else is there.
RSpec.describe "Notes to each other", :client do
  include SmallWard
  include Ward

  def write(**sent)
    visit_page("/inquiries/1/notes")
    send_form("/inquiries/1/notes", **sent)
  end

  def shown
    notes = Nokogiri::HTML(visit_page("/inquiries/1/notes").body).css(".note")
    notes.map { |one| one.text.gsub(/\s+/, " ").strip }
  end

  it "are written, answered, settled and opened again by who reads the inquiry, and by nobody else" do
    sign_in(:reader)
    expect(write(kind: "term", key: "1", text: "Is <b>rest</b> the same?").status).to eq(303)
    expect(shown).to match([%r{Term: sleep Levi Omstead .*Is <b>rest</b> the same\?}])
    sign_in(:owner)
    expect(visit_page("/inquiries/1/word").body).to include("Notes 1")
    write(do: "answer", note: 1, text: "No: people rest awake.")
    write(do: "settle", note: 1)
    expect(shown.first).to include("Maren Vendrillon", "people rest awake",
                                   "resolved by Maren Vendrillon")
    write(do: "open", note: 1)
    expect(shown.first).not_to include("resolved by")
    [{ text: " " }, { text: "x" * 1_001 }, { do: "answer", note: 1, text: "" }].each do |sent|
      expect([sent.size, write(kind: "inquiry", key: "", **sent).status]).to eq([sent.size, 422])
    end
    [{ kind: "paper", key: "none" }, { kind: "term", key: "99" }, { kind: "limit", key: "age" },
     { kind: "x", key: "y" }, { do: "answer", note: 99 }, { do: "settle", note: 2 }].each do |sent|
      expect([sent, write(text: "words", **sent).status]).to eq([sent, 404])
    end
    sign_in(:stranger)
    expect(visit_page("/inquiries/1/notes").status).to eq(404)
  end

  it "tell a second reader nothing of a paper until both have decided on it" do
    sign_in(:owner)
    visit_page("/inquiries/1/people")
    send_form("/inquiries/1/twice", second: people[:second])
    write(kind: "paper", key: "p0", text: "I would keep this one")
    write(kind: "paper", key: "p1", text: "Nothing for us")
    decide = lambda do |*papers|
      visit_page("/inquiries/1/sift")
      papers.each { |paper| send_form("/inquiries/1/decisions", paper:, verdict: "keep") }
    end
    decide.call("p0", "p1")
    expect(shown.size).to eq(2)
    sign_in(:second)
    expect(shown).to eq([])
    expect(write(do: "answer", note: 1, text: "Let me see").status).to eq(404)
    decide.call("p0")
    expect(shown).to match([/I would keep this one/])
    expect(visit_page("/inquiries/1/sift").body).to include("Notes 1")
  end

  it "say who else is here, for two minutes" do
    here = lambda do |step|
      said = visit_page("/inquiries/1/since?seen=3&step=#{step}").headers["x-hobrin-here"]
      URI.decode_www_form_component(said)
    end
    sign_in(:owner)
    expect(here["sift"]).to eq("")
    sign_in(:librarian)
    expect(here["nowhere"]).to eq("Maren Vendrillon on Screen")
    sign_in(:owner)
    expect(here["word"]).to eq("Ines Quarrel on Trail")
    expect(context.notes.who_is_here(1, since: context.clock.minutes_ago(-3))).to eq({})
  end
end
