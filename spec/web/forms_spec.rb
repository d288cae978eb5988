# frozen_string_literal: true

# Parameters in, typed values out: what each form makes of what is sent.
RSpec.describe "Forms" do
  edits = Hobrin::Edits
  s = Hobrin::Strategy

  def form(name, **params)
    Hobrin::Web::Steps.const_get(name).new(Hobrin::Web::Fields.new(params.transform_keys(&:to_s)))
  end

  decide = lambda do |**rest|
    edits::Screen::Decide.new(decision: Hobrin::Screening::Decision.new(record_id: "one", verdict: :drop, **rest))
  end
  cases = [
    ["Terms::Routes::TermForm", { term: "4", do: "cross_out", reason: "wide" },
     edits::Terms::CrossOut.new(term_id: 4, reason: "wide")],
    ["Terms::Routes::TermForm", { term: "4", turn: "main" },
     edits::Terms::TurnHeading.new(term_id: 4, choice: :main)],
    # An aspect that is called as one of the other choices is.
    ["Terms::Routes::TermForm", { term: "4", turn: "aspect:main" },
     edits::Terms::TurnHeading.new(term_id: 4, choice: "main")],
    ["Terms::Routes::TermForm", { term: "4", do: "reword", text: "Eye Masks", in: ["title"] },
     edits::Terms::Reword.new(term_id: 4, leaf: s::TextTerm.new(text: "eye masks", fields: [:title]))],
    ["Terms::Routes::AdditionForm", { block: "P", heading: "Sleep", as: "yes", main: "yes", aspects: ["nursing"] },
     edits::Additions::AddHeading.new(block: "P", label: "Sleep", narrower: false, main: true, aspects: ["nursing"])],
    ["Terms::Routes::AdditionForm",
     { block: "P", typed: "a b", read: "a b", part_count: "2", part: { "0" => "words:a", "1" => "leave:" } },
     edits::Additions::AddParts.new(block: "P", parts: [[:words, "a"]])],
    # Typed on since it was read.
    ["Terms::Routes::AdditionForm",
     { block: "P", typed: "a b c", read: "a b", part_count: "1", part: { "0" => "words:a" } },
     edits::Additions::AddTyped.new(block: "P", typed: "a b c")],
    ["Narrow::Forms::LimitForm", { limit: "dates", from_year: "2 016" },
     edits::Limits::Apply.new(leaf: s::Dates.years(from_year: 2016))],
    ["Narrow::Forms::LimitForm", { all: "off" }, edits::Limits::SwitchAllOff.new],
    ["Narrow::Forms::WhatIfForm", { try: %w[a b c d] }, edits::WhatIfs::Apply.new(names: %w[a b c])],
    ["Narrow::Forms::TargetForm", { usual: "bedside", aim_from: "x" },
     edits::Limits::SetTarget.new(aim: Hobrin::Narrowing::Target.new(from: 20, to: 40))],
    ["Screen::Routes::DecisionForm", { paper: "one", reason: "No study", note: "n" },
     decide.call(reason: "No study", note: "n")],
    ["Screen::Routes::DecisionForm", { paper: "one", verdict: "none" }, edits::Screen::WithdrawDecision.new(record_id: "one")],
    ["Trail::Routes::NamedLineForm", { remove: "broad" }, edits::Trail::RemoveLine.new(name: "broad")]
  ]

  cases.each do |name, params, edit|
    it "#{name} makes of #{params} one edit" do
      expect(form(name, **params).edit).to eq(edit)
    end
  end

  it "refuses a press that means nothing, wherever there is more than one" do
    ["Terms::Routes::TermForm", "Terms::Routes::BlockForm", "Narrow::Forms::StepForm"].each do |name|
      expect { form(name, term: "4", key: "P", name: "age", do: "dance").edit }
        .to raise_error(Hobrin::InputError, /This page has expired/)
    end
    expect { form("Terms::Routes::TermForm", term: "x", do: "remove").edit }
      .to raise_error(Hobrin::GoneError)
  end

  it "keeps open what was open, and leads where it was asked to" do
    stay = ->(press) { form("Terms::Routes::TermForm", term: "4", do: press, open: "term:4").after(nil).stay }
    expect([stay["up"], stay["remove"]]).to eq([{ "open" => "term:4" }, { "open" => "" }])
    must_find = ->(**rest) { form("Narrow::Forms::MustFindForm", known: "x", **rest).after(nil) }
    expect(must_find[from: "trail"].step).to eq(:trail)
    expect([must_find[reading: "one"].step, must_find[reading: "one"].paper]).to eq([:sift, "one"])
    expect(form("Act::Routes::BriefForm", next: "narrow").after(nil).step).to eq(:narrow)
  end
end
