# frozen_string_literal: true

RSpec.describe "What is sent to the web application", :sample, :client do
  let(:markup) { %q(<script>alert("x")</script>'"><img src=x onerror=alert(1)>) }
  let(:ask) { { situation: "", question: inquiry.question.text, seen: saved.version } }

  before { visit_page "/inquiries/1/ask" }

  it "carries a policy that lets nothing foreign run, on pages and on failures" do
    %w[/ /inquiries/1/word /nope].each do |path|
      visit_page path
      expect(last_response.headers["content-security-policy"]).to include("default-src 'none'", "script-src 'self'",
                                                                          "style-src 'self'")
      expect(last_response.body).not_to match(/<script>|style="|javascript:|https?:/)
    end
    expect(last_response.headers["set-cookie"].to_s)
      .to match(/httponly/i).and match(/samesite=lax/i)
  end

  it "refuses every change without the page's token" do
    changes = %w[ask terms terms/1 limits limits/age aim decisions weigh act delete undo redo blocks/P what-ifs
                 must-find trail check filter let-in lines again several threads full-text resolver search-review outcomes results
                 findings deliberation measures steps signatures address aside back copy elsewhere
                 feed people twice differences sheet sheets notes forget records].map do |path|
      "/inquiries/1/#{path}"
    end
    changes.push("/inquiries", "/archives", "/taken-along", "/library/files", "/library/imports/1",
                 "/library/matches", "/library/doubles", "/library/catalogues",
                 "/library/catalogues/1", "/library/thesauri/1", "/people", "/people/wards", "/people/1",
                 "/people/wards/1", "/people/invitations/1", "/people/forget", "/library/changes/1",
                 "/invitations/x")
    expect(changes.size).to eq(Hobrin::Web::App.routes["POST"].size)
    before = saved
    changes.each do |path|
      expect([path, send_form(path, token: nil, question: "x").status]).to eq([path, 403])
    end
    expect(saved).to eq(before)
  end

  it "answers to its own host names only" do
    header "Host", "elsewhere.example"
    get "/"
    expect(last_response.status).to eq(403)
  end

  it "answers what is not there with a plain page and 404" do
    %w[
      /inquiries/99/word /inquiries/0/ask /inquiries/abc/ask /inquiries/99999999999999999999/ask /inquiries/-1/trail
      /nothing /inquiries/1/evidence.exe /inquiries/1/sift?paper=nope /inquiries/1/offers?block=Z&typed=x
    ].each do |path|
      expect([path, visit_page(path).status]).to eq([path, 404])
    end
    send_form("/inquiries/1/terms/999", block: "P", do: "remove")
    expect([last_response.status, last_response.body]).to match([404, /may have been deleted/])
  end

  it "keeps what was typed and says beside the field what is wrong" do
    refused = {
      ["/inquiries", { question: "  " }] => /Write the question first/,
      ["/inquiries", { question: "w" * 600 }] => /600 characters.*w{600}|w{600}.*600 characters/m,
      ["/inquiries/1/ask", { **ask, question: "" }] => /Write the question first/,
      ["/inquiries/1/ask", { **ask, situation: "s" * 2_001 }] => /This is 2.001 characters long/,
      ["/inquiries/1/ask", { **ask, mark: "P", mark_text: "" }] => /Select some words/,
      ["/inquiries/1/ask", { **ask, kind: "gossip" }] => /Choose a question type/,
      ["/inquiries/1/terms", { block: "P", typed: "e*" }] => /at least 3 letters.*|value="e\*"/,
      ["/inquiries/1/terms", { block: "P", typed: "Intensive Care Units" }] => /already in this block/,
      ["/inquiries/1/terms", { block: "C", typed: "usual care" }] => /role="alert">This element is not searched/,
      ["/inquiries/1/terms/1", { block: "P", do: "dance" }] => /role="alert">This page has expired/,
      ["/inquiries/1/limits/age", { do: "dance" }] => /role="alert">This page has expired/,
      ["/inquiries/1/blocks/P", { do: "dance" }] => /role="alert">This page has expired/,
      ["/inquiries/1/trail", { line: "3", do: "dance" }] => /role="alert">This page has expired/,
      ["/inquiries/1/decisions", { paper: "10.5555/hobrin.trial-2021", verdict: "dance" }] => /This page has expired/,
      ["/inquiries/1/what-ifs", {}] => /role="alert">This page has expired/,
      ["/inquiries/1/terms", { block: "P", heading: "No Such Heading" }] => /not a heading/,
      ["/inquiries/1/ask", { **ask, frame: "trapeze" }] => /Choose a frame/,
      ["/inquiries/1/terms", { block: "P", list: "x*\ny*", open: "list:P" }] => /x\*\ny\*.*at least 3 letters/m,
      ["/inquiries/1/terms", { block: "P", journal: "No Such Journal" }] => /No journal here/,
      ["/inquiries/1/terms/4", { do: "reword", text: "s*", "in[]": "title", open: "term:4" }] =>
        /value="s\*".*at least 3 letters/m,
      ["/inquiries/1/terms/4", { do: "reword", text: "sleep", open: "term:4" }] => /Choose where to search/,
      ["/inquiries/1/terms/4", { do: "cross_out", reason: "r" * 201, open: "term:4" }] => /to 200 characters/,
      ["/inquiries/1/terms/4", { do: "move", to: "C", open: "term:4" }] => /Choose a block/,
      ["/inquiries/1/blocks/P", { operator: "glued" }] => /how this block is combined/,
      ["/inquiries/1/redo", {}] => /Nothing to redo/,
      ["/inquiries/1/trail", { line: "3", note: "n" * 301, do: "note" }] => /to 300 characters/,
      ["/inquiries/1/must-find", { known: "sleep" }] => /value="sleep".*Choose one.*name="known" value="/m,
      ["/inquiries/1/must-find", { known: "10.5555/nobody" }] => /No paper here has this DOI/,
      ["/inquiries/1/limits", { limit: "dates", from_year: "2O16", to_year: "2026" }] => /value="2O16".*for example 2016/m,
      ["/inquiries/1/limits", { limit: "dates", from_year: "2026", to_year: "2016" }] => /before 2026/,
      ["/inquiries/1/limits", { limit: "type", "values[]" => "rumour" }] => /rumour/,
      ["/inquiries/1/limits", { limit: "moon" }] => /no such limit/,
      ["/inquiries/1/limits", { limit: "added", since: "last week" }] => /value="last week".*Enter a date, for example/m,
      ["/inquiries/1/limits", { limit: "journal", journal: "No Such One" }] => /value="No Such One".*No journal here/m,
      ["/inquiries/1/limits", { limit: "filter", filter: "treatment/wide" }] => /no study filter “treatment/,
      ["/inquiries/1/filter", { title: "", terms: "risk*" }] => /Give the filter a name.*risk\*/m,
      ["/inquiries/1/filter", { title: "Mine", terms: "risk* and (" }] => /value="Mine".*Column 12/m,
      ["/inquiries/1/lines", { name: "mine", notation: "3 not" }] => /value="mine".*value="3 not".*Write lines/m,
      ["/inquiries/1/lines", { name: "my line", notation: "30" }] => /value="my line".*one word/m,
      ["/inquiries/1/aim", { aim_from: "40", aim_to: "many" }] => /value="many".*smaller first/m,
      ["/inquiries/1/decisions",
       { paper: "10.5555/hobrin.rats-2017", note: "Kept words" }] => /Choose include, unsure or exclude.*Kept words/m,
      ["/inquiries/1/decisions", { paper: "10.5555/hobrin.review-2023", verdict: "drop" }] => /Choose a reason/,
      ["/inquiries/1/weigh",
       { paper: "10.5555/hobrin.trial-2021", design: "cohort", graded: "1", finding: "Kept words" }] => /Give a reason for changing the level.*Kept words/m,
      ["/inquiries/1/results",
       { paper: "10.5555/hobrin.trial-2021", numbers: "1", outcome: "1", do: "write", form: "counts",
         events: "-1", total: "ten",
         shown: "Kept words" }] => /whole number.*value="ten".*Kept words/m,
      ["/inquiries/1/results",
       { paper: "10.5555/hobrin.trial-2021", numbers: "1", outcome: "1", do: "write", form: "counts",
         events: "5", total: "4",
         comparison_events: "1", comparison_total: "0" }] => /more than the 4.*at least 1 person/m,
      ["/inquiries/1/results",
       { paper: "10.5555/hobrin.trial-2021", numbers: "2", outcome: "2", do: "write", form: "means_sd",
         mean: "5,5", deviation: "0",
         size: "9", comparison_mean: "6", comparison_deviation: "1", comparison_size: "9" }] => /value="5,5".*Enter a number above 0/m,
      ["/inquiries/1/results",
       { paper: "10.5555/hobrin.trial-2021", numbers: "1", outcome: "1", do: "write", form: "estimate",
         measure: "risk_ratio",
         value: "0.8", low: "1.1", high: "0.6" }] => /value="1.1".*Enter the lower end first/m,
      ["/inquiries/1/outcomes",
       { outcome: "1", part: "is", do: "write", name: "Delirium", worthwhile: "much", baseline: "7" }] => /value="much".*Enter a number/m,
      ["/inquiries/1/outcomes", { show: "new", do: "write", name: "delirium", baseline: "101" }] => /already an outcome of that name/,
      ["/inquiries/1/outcomes", { outcome: "1", part: "certainty", do: "judge", domain: "bias", steps: "-1", why: " " }] => /Give a reason/,
      ["/inquiries/1/outcomes", { outcome: "2", do: "put_together", measure: "mean_difference",
                                  model: "mantel_haenszel",
                                  level: "95" }] => /works for risk ratios/,
      ["/inquiries/1/findings", { show: "findings", do: "write", text: " ", "words[0]": "Kept words" }] => /Write the finding/,
      ["/inquiries/1/deliberation", { show: "decision", "lines[cost]": "c" * 301, decision: "trial" }] => /Keep this to 300/,
      ["/inquiries/1/measures", { show: "measures", do: "write", name: "Kept words", way: "share", sort: "outcome", better: "less",
                                  numbers: "2026-09-07; 3; 10\nsoon; 2; 9" }] => /value="Kept words".*Line 2: “soon” is not a date/m,
      ["/inquiries/1/measures", { show: "measures", do: "write", name: "Falls", way: "share", sort: "outcome", better: "less",
                                  numbers: "2026-09-07; 3; 0" }] => /Line 1: the denominator must be at least 1/,
      ["/inquiries/1/measures", { show: "measures", do: "write", name: "Falls", way: "share", sort: "outcome", better: "less",
                                  numbers: "2026-11-24; 3; 10" }] => /2026-11-24 is in the future/,
      ["/inquiries/1/measures", { show: "measures", do: "write", name: "Kept words", way: "share", sort: "outcome",
                                  numbers: "" }] => /value="Kept words".*Choose whether less or more/m,
      ["/inquiries/1/measures", { show: "measures", do: "write", name: "Falls", way: "value", sort: "outcome", better: "less",
                                  started: "31.2.26",
                                  numbers: "" }] => /value="31.2.26".*Enter a date/m,
      ["/inquiries/1/act", { seen: saved.version, conclusion: "c" * 601, what: "Kept words" }] => /Kept words/
    }
    before = inquiry
    refused.each do |(path, params), message|
      send_form(path, **params)
      expect([path, params.keys, last_response.status]).to eq([path, params.keys, 422])
      expect(last_response.body).to match(message)
    end
    expect(refused.values.grep(->(pattern) { "".match?(pattern) })).to eq([])
    expect(inquiry).to eq(before)
  end

  it "shows markup in any field as the letters it is" do
    send_form("/inquiries/1/ask", **ask, situation: markup, typed_P: markup,
                                         question: "#{inquiry.question.text} #{markup}")
    send_form("/inquiries/1/terms", block: "P", typed: "\"#{markup}\"")
    send_form("/inquiries/1/terms/1", block: "P", do: "cross_out", reason: markup)
    send_form("/inquiries/1/decisions", paper: "10.5555/hobrin.trial-2021", verdict: "keep",
                                        note: markup)
    send_form("/inquiries/1/filter", title: markup[0, 60], terms: "\"#{markup.delete("\"")}\"")
    send_form("/inquiries/1/lines", name: markup, notation: markup)
    expect(last_response.body).not_to match(/<script>alert|<img src=x/)
    send_form("/inquiries/1/weigh", paper: "10.5555/hobrin.trial-2021", design: "cohort", finding: markup,
                                    seen: saved.version,
                                    "answers[told]": "no", "shown[told]": markup)
    send_form("/inquiries/1/outcomes", do: "write", name: markup, seen: saved.version)
    send_form("/inquiries/1/results", do: "write", outcome: "4", paper: "10.5555/hobrin.trial-2021",
                                      form: "counts", events: "1",
                                      total: "9", comparison_events: "2", comparison_total: "9",
                                      group: markup, shown: markup)
    send_form("/inquiries/1/findings", do: "write", text: markup, seen: saved.version)
    send_form("/inquiries/1/act", conclusion: markup, what: markup, seen: saved.version)
    expect([inquiry.question.situation, inquiry.question.text,
            inquiry.plan.what]).to all(include("<script>"))
    expect(inquiry.question.kind).to eq("treatment")
    steps = %w[ask word narrow narrow?show=filters sift weigh weigh?outcome=4 weigh?show=table weigh?show=findings
               weigh?paper=10.5555/hobrin.trial-2021 weigh?paper=10.5555/hobrin.trial-2021&numbers=4 act trail]
    ["/", *steps.map { |step| "/inquiries/1/#{step}" }].each do |path|
      expect([path, visit_page(path).body[/<script>alert|<img src=x/]]).to eq([path, nil])
    end
  end

  it "stands whatever is sent, with an answer below 500" do
    odd = [
      ["ask", { question: { "a" => "b" }, kind: ["x"] }],
      ["terms", { block: ["P"], typed: "x" }],
      ["terms", { block: "P", typed: "\u0000" }],
      ["terms", { block: "P", typed: "\xFF\xFE" }],
      ["terms", { block: "Q", typed: "sleep" }],
      ["terms", { block: "P", typed: "NEAR(\"a\" OR * ^b) {title}: -c" }],
      ["terms",
       { block: "P", typed: "a", read: "a", part_count: "999999", part: { "0" => "moon:x" } }],
      ["terms", { block: "P", headings: { "a" => "b" } }],
      ["terms", { block: "P", heading: "Delirium", as: "yes", aspects: ["cooking"] }],
      ["terms", { block: "P", list: "dc.title = \u0007 or" }],
      ["terms", { block: "P", author: "*" }],
      ["terms/4", { turn: "main" }],
      ["terms/1", { turn: "aspect:cooking" }],
      ["terms/4",
       { do: "reword", text: "a b c", as: "near", distance: "many", split: "-4", in: "x" }],
      ["terms/99999999999999999999", { do: "up" }],
      ["terms/4", { do: "move", to: ["P"] }],
      ["blocks/Z", { operator: "not" }],
      ["ask",
       { question: "x", edge: "P:999:start:1", unmark: "P:zz", leave: "P:", instead: "P:moon" }],
      ["ask", { question: "x", take: ["all", "P:-1"], stated: "age" }],
      ["undo", { seen: "-4" }],
      ["what-ifs", { try: %w[0 x 99999999999999999999] }],
      ["what-ifs", { try: { "a" => "b" } }],
      ["what-ifs", { dismiss: "moon" }],
      ["limits/flag-moon", { do: "switch" }],
      ["limits/age", { do: ["up"] }],
      ["blocks/Z", { do: "up", from: "narrow" }],
      ["let-in", { paper: "nope" }],
      ["let-in", { take_back: "' OR 1=1" }],
      ["filter", { put_own: "nope" }],
      ["filter", { forget: { "a" => "b" } }],
      ["filter", { title: "x", terms: "(" * 500 }],
      ["filter", { title: "x", terms: "cql.resultSetId = 3" }],
      ["lines", { remove: "nope" }],
      ["lines", { name: "a", notation: "(" * 100 }],
      ["lines", { name: "a", notation: "99999999999999999999" }],
      ["aim", { usual: "moon" }],
      ["must-find", { remove: "nope" }],
      ["check", { finding: "999" }],
      ["check", { finding: ["x"] }],
      ["trail", { line: "999", do: "restore" }],
      ["trail", { line: "-1" }],
      ["trail", { line: "99999999999999999999", note: "x" }],
      ["terms/1", { block: "P", do: "dance" }],
      ["terms/x", { block: "P", do: "remove" }],
      ["limits/age", { do: "dance" }],
      ["limits/moon", { do: "remove" }],
      ["weigh", { paper: "nope", design: "cohort" }],
      ["weigh", { answers: "x", design: "x" }],
      ["weigh", { paper: "10.5555/hobrin.trial-2021", design: "cohort", concerns: ["x"], applies: "x", take: "x" }],
      ["outcomes", { do: "write", outcome: "99", name: "x" }], ["outcomes", { do: "drop", outcome: "x" }],
      ["outcomes", { do: "sing" }],
      ["outcomes", { do: "judge", outcome: "1", domain: "x", steps: "9" }],
      ["outcomes", { do: "put_together", outcome: "1" }],
      ["results", { do: "write", paper: "nope", outcome: "1", form: "counts" }],
      ["results", { do: "mend", paper: "nope", result: "1" }],
      ["results", { do: "mend", paper: "10.5555/hobrin.trial-2021", result: "1", trap: "x" }],
      ["results", { do: "write", paper: "10.5555/hobrin.trial-2021", outcome: "1", form: "one_group" }],
      ["deliberation", { marks: "x", lines: ["y"], decision: "sing" }], ["measures", { do: "drop", measure: "9" }],
      ["measures", { do: "write", measure: "x", numbers: ["1"] }], ["measures", { do: "sing" }],
      ["findings", { do: "judge", finding: "9" }], ["findings",
                                                    { do: "write", text: "x", papers: ["nope"],
                                                      speaks: { "0" => "for" } }],
      ["decisions", { paper: "nope", verdict: "keep" }],
      ["act", {}]
    ]
    odd.each do |path, params|
      send_form("/inquiries/1/#{path}", **params)
      expect([path, params, last_response.status]).to match([path, params, be_between(200, 499)])
    end
    ["word?open=term:99999999999999999999", "word?open=heading:Z:Delirium", "word?open=heading:P:%00", "word?open[]=x",
     "word?open=gain:Z", "word?open=papers:Z", "word?open=paper:nope", "word?known=%25%22*", "ask?phrase=P:x",
     "since?seen=99999999999999999999", "offers?block=P&typed=a&way=sideways",
     "trail?line=99", "trail?line=x&with=0",
     "trail?line=3&with[]=4", "trail?again[]=yes", "narrow?two=zzz&kind=zzz&order=x&opened=limit-age",
     "narrow?show=filters&kind[]=cost",
     "narrow?opened=block-Z&more=yes", "log.exe", "narrow?opened=limit-moon", "narrow?show=moon&what_if=-1",
     "narrow?opened=x", "weigh?paper=nope", "weigh?outcome=99", "weigh?outcome=x&part=y",
     "weigh?outcome=1&part=groups&by=x",
     "weigh?paper=10.5555/hobrin.trial-2021&numbers=99&take=x&as=y&result=z",
     "weigh?show=findings&finding=99", "weigh?show=x",
     "offers?block=P&typed=%FF", "sift?paper[]=x"]
      .each do |path|
      expect([path,
              visit_page("/inquiries/1/#{path}").status]).to match([path, be_between(200, 499)])
    end
    expect(%i[ask word narrow sift weigh act].map do |step|
      visit_page("/inquiries/1/#{step}").status
    end)
      .to all(eq(200))
  end

  it "turns away what is far too long before reading it" do
    expect(send_form("/inquiries/1/ask", question: "x" * 300_000).status).to eq(413)
  end

  it "never overwrites what another window wrote, and keeps what this one typed" do
    stale = saved.version
    send_form("/inquiries/1/act", seen: stale, conclusion: "From the first window.", what: "")
    send_form("/inquiries/1/act", seen: stale, conclusion: "From the second window.", what: "")
    expect(last_response.status).to eq(409)
    expect(last_response.body).to include("changed in another window", "From the second window.")
    expect(inquiry.conclusion).to eq("From the first window.")
  end

  it "says that an inquiry was deleted when a page of it is still open" do
    send_form("/inquiries/1/delete")
    send_form("/inquiries/1/terms", block: "P", typed: "sleep")
    expect([last_response.status, last_response.body]).to match([404, /inquiry is not here/])
  end
end
