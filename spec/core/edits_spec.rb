# frozen_string_literal: true

# Each change as a value: an Inquiry in, a Change out, with no store. What it may look at beside the
# inquiry is made of plain values here.
RSpec.describe Hobrin::Edits do
  s = Hobrin::Strategy

  let(:thesaurus) do
    delirium = a_heading("Delirium", broader: ["Sleep"], also_called: ["acute confusion"],
                                     aspects: %w[nursing prevention])
    Hobrin::Thesaurus.new([a_heading("Sleep"), delirium, a_heading("Noise"),
                           a_heading("Old Fear", use_instead: ["Delirium"])])
  end
  let(:evaluator) { Hobrin::Retrieval::Evaluator.new(index: NoIndex.new, thesaurus:) }
  let(:question) do
    asked = Hobrin::Question.ask("Do earplugs prevent delirium in adults?")
    asked.marked("I", "earplugs").marked("P", "adults")
  end
  let(:inquiry) do
    leaves = [["I", words("earplug*")], ["I", words("ear plug*")],
              ["P", s::Heading.new(label: "Delirium")], ["P", words("zyx")]]
    limits = [s::Limit.new(name: :sex, values: ["female"]), s::Dates.years(from_year: 2016)]
    with_words = leaves.reduce(Hobrin::Inquiry.new(question:)) { |now, (key, leaf)| now.with_leaf(key, leaf) }
    limits.reduce(with_words) do |now, leaf|
      now.with_limit(leaf)
    end.with_decision(decision("one", :keep)).with(weighing:, acting:, conclusion: "Perhaps.", elsewhere: [elsewhere])
  end
  let(:elsewhere) do
    Hobrin::Narrowing::State::ExternalSearch.new(source: "Ward catalogue", address: "http://h/sru", protocol: "SRU 1.2", lines: [],
                                                 query: "noise", count: 4, on: "2026-11-20", import_id: nil)
  end
  let(:acting) { Hobrin::Brief::Acting.new(measures: [Hobrin::Brief::Measure.new(id: 1, name: "Falls")]) }
  let(:weighing) do
    a = Hobrin::Appraisal
    typed = { events: "3", total: "10", comparison_events: "5", comparison_total: "10" }
    paper = a::Paper.new(record_id: "one", design: "cohort",
                         reported: [a::Reported.new(number: 1, outcome_id: 1, form: "counts", typed:)])
    a::Weighing.new(papers: [paper], outcomes: [a::Outcome.new(id: 1, name: "Delirium")],
                    findings: [a::Finding.new(id: 1, text: "Night is loud.")])
  end
  let(:surroundings) do
    HandSurroundings.new(
      evaluator:, vocabulary: s::Vocabulary.new(thesaurus:, journals: ["A Journal"]),
      papers: [a_record(id: "one", title: "Earplugs"), a_record(id: "two", title: "Eye masks")],
      trail: HandTrail.new([Hobrin::Inquiry.new(question:), inquiry])
    )
  end

  def move(kind)
    Hobrin::Narrowing::Moves.of(inquiry, surroundings).call.find { |one| one.kind == kind }
  end

  def finding(kind) = Hobrin::Check.new(inquiry, evaluator).call.find { |one| one.kind == kind }

  def decision(record_id, verdict, reason = nil)
    Hobrin::Screening::Decision.new(record_id:, verdict:, reason:)
  end

  # For each edit: how it is made, what it says in the trail, and what it left.
  cases = {
    "Ask::WriteQuestion" => [
      lambda do |e|
        draft = e::Draft.new(situation: "", text: question.text)
        e::WriteQuestion.new(draft:, press: e::Mark.new(key: "O", words: "delirium"), limit: :age)
      end,
      "O: delirium; limit Age group: Adults, 19 and over",
      ->(now) { now.limit(:age) && now.question.element("O").name }
    ],
    "Additions::AddTyped" => [
      ->(e) { e::AddTyped.new(block: "I", typed: "acute confusion at noise") },
      "Added heading Delirium, heading Noise to I", ->(now) { now.block("I").terms.size == 4 }
    ],
    "Additions::AddParts" => [
      ->(e) { e::AddParts.words("I", "mask*") },
      "Added words mask* to I", ->(now) { now.block("I").terms.last.id == 5 }
    ],
    "Additions::AddHeading" => [
      ->(e) { e::AddHeading.new(block: "I", label: "Delirium", narrower: true, main: true, aspects: %w[nursing cooking]) },
      "Added heading Delirium to I", ->(now) { now.block("I").terms.last.leaf.aspects == ["nursing"] }
    ],
    "Additions::AddAuthor" => [
      ->(e) { e::AddAuthor.new(block: "I", name: "Zorvane A") },
      "Added author zorvane A to I", ->(now) { now.block("I").terms.last.leaf.is_a?(s::Author) }
    ],
    "Additions::AddJournal" => [
      ->(e) { e::AddJournal.new(block: "I", name: "a journal") },
      "Added journal A Journal to I", ->(now) { now.block("I").terms.last.leaf.is_a?(s::Journal) }
    ],
    "Additions::AddList" => [
      ->(e) { e::AddList.new(block: "I", text: "mask*\nx*") },
      "Added words mask* to I", ->(now) { now.block("I").terms.size == 3 }
    ],
    "Terms::CrossOut" => [
      ->(e) { e::CrossOut.new(term_id: 1, reason: " wide ") },
      "Crossed out earplug* in I", ->(now) { now.block("I").term(1).crossed_out == "wide" }
    ],
    "Terms::Restore" => [
      ->(e) { e::Restore.new(term_id: 1) },
      "Restored earplug* in I", ->(now) { !now.block("I").term(1).crossed_out? }
    ],
    "Terms::Exclude" => [
      ->(e) { e::Exclude.new(term_id: 1) },
      "Excluded earplug* in I (NOT)", ->(now) { now.block("I").term(1).excluded? }
    ],
    "Terms::Remove" => [
      ->(e) { e::Remove.new(term_id: 1) },
      "Removed earplug* from I", ->(now) { now.block("I").terms.size == 1 }
    ],
    "Terms::TurnHeading" => [
      ->(e) { e::TurnHeading.new(term_id: 3, choice: "nursing") },
      "Changed Delirium in P: heading · no narrower headings · subheadings: nursing",
      ->(now) { now.block("P").term(3).leaf.aspects == ["nursing"] }
    ],
    "Terms::Reword" => [
      ->(e) { e::Reword.new(term_id: 1, leaf: s::TextTerm.read("muff*")) },
      "Changed earplug* in I to muff* (word, any ending · anywhere in the text)",
      ->(now) { now.block("I").term(1).label == "muff*" }
    ],
    "Terms::Move" => [
      ->(e) { e::Move.new(term_id: 1, by: 1) },
      "Moved earplug* down", ->(now) { now.block("I").terms.map(&:id) == [2, 1] }
    ],
    "Terms::Send" => [
      ->(e) { e::Send.new(term_id: 1, to: "P") },
      "Moved earplug* to P", ->(now) { now.block_of(1).key == "P" }
    ],
    "Blocks::Join" => [
      ->(e) { e::Join.new(block: "I", operator: :not, step: :word) },
      "I: NOT", ->(now) { now.block("I").operator == :not }
    ],
    "Blocks::Switch" => [
      ->(e) { e::Switch.new(block: "I", step: :narrow) },
      "I: not used", ->(now) { now.block("I").operator == :out }
    ],
    "Blocks::MoveUp" => [
      ->(e) { e::MoveUp.new(block: "I", step: :narrow) },
      "Moved I up", ->(now) { now.ordered_blocks.first.key == "I" }
    ],
    "SearchCheck::ReviewSearch" => [
      ->(e) { e::ReviewSearch.new(name: " Ines  Quarrel", verdict: "changes", remarks: { words: "Add masks.", limits: " " }) },
      "Ines Quarrel reviewed the search: changes requested",
      ->(now) { now.peer_reviews.map(&:remarks) == [{ words: "Add masks." }] }
    ],
    "Limits::Apply" => [
      ->(e) { e::Apply.new(leaf: s::Limit.new(name: :species, values: ["humans"])) },
      "Limit: Species: Humans", ->(now) { now.limit(:species).on }
    ],
    "Limits::ApplyJournals" => [
      ->(e) { e::ApplyJournals.new(names: ["a journal"]) },
      "Limit: Journal: A Journal", ->(now) { now.limit(:journal).on }
    ],
    "Limits::Remove" => [
      ->(e) { e::Remove.new(slot: "sex") },
      "Removed limit: Sex: Female", ->(now) { now.limit(:sex).nil? }
    ],
    "Limits::Switch" => [
      ->(e) { e::Switch.new(slot: :sex) },
      "Switched limit: Sex: Female", ->(now) { !now.limit(:sex).on }
    ],
    "Limits::MoveUp" => [
      ->(e) { e::MoveUp.new(slot: :dates) },
      "Moved limit up: Published: 2016 or later", ->(now) { now.limits.first.slot == :dates }
    ],
    "Limits::SwitchAllOff" => [
      ->(e) { e::SwitchAllOff.new },
      "Turned off all limits", ->(now) { now.limits.none?(&:on) }
    ],
    "Limits::SetTarget" => [
      ->(e) { e::SetTarget.new(aim: Hobrin::Narrowing::Target.new(from: 1, to: 2)) },
      "Target 1 to 2 papers", ->(now) { now.aim.to == 2 }
    ],
    "WhatIfs::Apply" => [
      ->(e) { e::Apply.new(names: [move(:main_on).name, move(:flag).name]) },
      "Tried: Delirium as main topic only, then only peer reviewed",
      ->(now) { now.block("P").term(3).leaf.main }
    ],
    "WhatIfs::Dismiss" => [
      ->(e) { e::Dismiss.new(name: move(:main_on).name) },
      "Dismissed: Delirium as main topic only", ->(now) { now.dismissed.size == 1 }
    ],
    "SearchCheck::MendFinding" => [
      ->(e) { e::MendFinding.new(name: finding(:nothing).name) },
      "Cross out what finds nothing: No paper here has “zyx”, “earplug*”, “ear plug*”", ->(now) { now.block("P").term(4).crossed_out? }
    ],
    "OtherCatalogues::RecordSearch" => [
      ->(e) { e::RecordSearch.new(search: elsewhere.with(count: 9, query: "sleep")) },
      "Searched Ward catalogue: 9 records, 4 last time",
      ->(now) { now.elsewhere.map { |one| [one.source, one.count] } == [["Ward catalogue", 9]] }
    ],
    "OtherCatalogues::BringIn" => [
      ->(e) { e::BringIn.new(source: "Ward catalogue", import_id: 7, most: 4) },
      "Imported from Ward catalogue: up to 4 records", ->(now) { now.elsewhere.first.import_id == 7 }
    ],
    "Papers::AddMustFind" => [
      ->(e) { e::AddMustFind.new(typed: "earplugs") },
      "Must-find paper: “Earplugs”", ->(now) { now.must_find == ["one"] }
    ],
    "Papers::IncludeManually" => [
      ->(e) { e::IncludeManually.new(record_id: "two") },
      "Added manually: “Eye masks”", ->(now) { now.included_ids == ["two"] }
    ],
    "Screen::Decide" => [
      ->(e) { e::Decide.new(decision: decision("two", :drop, "No study")) },
      "Excluded “Eye masks” (not a study)", ->(now) { now.decisions.last.reason == "No study" }
    ],
    "Screen::Annotate" => [
      ->(e) { e::Annotate.new(record_id: "one", note: "Good") },
      "Note on “Earplugs”", ->(now) { now.decisions.first.note == "Good" }
    ],
    "Screen::WithdrawDecision" => [
      ->(e) { e::WithdrawDecision.new(record_id: "one") },
      "Undid the decision on “Earplugs”", ->(now) { now.decisions.empty? }
    ],
    "Screen::ScreenIndependently" => [
      ->(e) { e::ScreenIndependently.new(readers: %w[Ana Bo]) },
      "Ana and Bo now screen the papers independently (decided before, outside: 1)", ->(now) { now.decisions.size == 1 }
    ],
    "Appraise::AppraiseIndependently" => [
      ->(e) { e::AppraiseIndependently.new(readers: %w[Ana Bo]) },
      "Ana and Bo now appraise the papers independently (appraised before, outside: 0)", ->(now) { now.papers.none?(&:weighed?) }
    ],
    "Appraise::ResolveAppraisal" => [
      lambda { |e|
        sheets = %w[yes no].map do |says|
          answers = { followed: Hobrin::Appraisal::Paper::Answer.new(says:) }
          Hobrin::Appraisal::Paper.new(record_id: "one", design: "randomized_trial", answers:)
        end
        pair = Hobrin::Appraisal::DualAppraisal::Pair.new(first: sheets.first, second: sheets.last, kind: nil)
        e::ResolveAppraisal.new(paper: sheets.last, pair:, readers: %w[Ana Bo])
      },
      "Resolved the checklist of “Earplugs”: Was follow-up nearly complete? Ana yes, Bo no: no",
      ->(now) { now.papers.first.answers[:followed].says == :no }
    ],
    "Appraise::SaveAppraisal" => [
      ->(e) { e::SaveAppraisal.new(paper: Hobrin::Appraisal::Paper.new(record_id: "one", design: "cohort")) },
      "Appraised “Earplugs”", ->(now) { now.papers.first.design == "cohort" }
    ],
    "Outcomes::Write" => [
      ->(e) { e::Write.new(outcome_id: nil, given: { name: "Falls", worthwhile: 2 }) },
      "Outcome “Falls”", ->(now) { now.weighing.outcomes.map(&:id) == [1, 2] && now.weighing.outcome(2).worthwhile.round == 2 }
    ],
    "Outcomes::Remove" => [
      ->(e) { e::Remove.new(outcome_id: 1) },
      "Deleted the outcome “Delirium”", ->(now) { now.weighing.outcomes.empty? && now.papers.first.reported.empty? }
    ],
    "Outcomes::Pool" => [
      lambda { |e|
        e::Pool.new(outcome_id: 1,
                    way: Hobrin::Appraisal::Outcome::Way.new(
                      measure: :odds_ratio, model: :fixed, level: 90
                    ))
      },
      "“Delirium” pooled: odds ratio, fixed effect, inverse variance, 90 % CI",
      ->(now) { now.weighing.outcome(1).way.measure == :odds_ratio }
    ],
    "Outcomes::JudgeCertainty" => [
      lambda { |e|
        e::JudgeCertainty.new(outcome_id: 1, domain: :bias,
                              judgement: Hobrin::Appraisal::Outcome::Judgement.new(steps: -1,
                                                                                   why: "nobody was unaware"))
      },
      "“Delirium”, risk of bias: −1, because nobody was unaware", ->(now) { now.weighing.outcome(1).judgements.keys == [:bias] }
    ],
    "Results::Write" => [
      lambda { |e|
        e::Write.new(record_id: "one", number: nil,
                     given: { outcome_id: 1, form: "estimate", measure: :risk_ratio,
                              typed: { value: "0,8", low: "0.6", high: "1.1" } })
      },
      "Results for “Delirium” from “Earplugs”", ->(now) { now.papers.first.reported.map(&:number) == [1, 2] }
    ],
    "Results::Remove" => [
      ->(e) { e::Remove.new(record_id: "one", number: 1) },
      "Deleted the results for “Delirium” from “Earplugs”", ->(now) { now.papers.first.reported.empty? }
    ],
    "Results::Count" => [
      ->(e) { e::Count.new(record_id: "one", number: 1, counts: false) },
      "Excluded from “Delirium”: “Earplugs”", ->(now) { now.papers.first.result(1).aside == :by_hand }
    ],
    "Results::SettleWarning" => [
      ->(e) { e::SettleWarning.new(record_id: "one", number: 1, trap: :turned, mend: true) },
      "Resolved for “Delirium”: “Earplugs” seems to have a scale that runs the other way",
      ->(now) { now.papers.first.result(1).turned }
    ],
    "Findings::Write" => [
      lambda { |e|
        e::Write.new(finding_id: nil, text: "They want to be told.",
                     support: { "one" => Hobrin::Appraisal::Finding::Voice.new(speaks: :for) })
      },
      "Finding: They want to be told.", ->(now) { now.weighing.findings.map(&:id) == [1, 2] }
    ],
    "Findings::Remove" => [
      ->(e) { e::Remove.new(finding_id: 1) },
      "Deleted the finding: Night is loud.", ->(now) { now.weighing.findings.empty? }
    ],
    "Findings::Judge" => [
      ->(e) { e::Judge.new(finding_id: 1, component: :adequacy, judgement: nil) },
      "“Night is loud.”, adequacy of data: as proposed", ->(now) { now.weighing.finding(1).judgements.empty? }
    ],
    "Practice::Decide" => [
      lambda { |e|
        benefit = Hobrin::Brief::Acting::Consideration.new(mark: 1, line: "Fewer")
        e::Decide.new(considerations: { benefit: }, decision: "trial")
      },
      "Decided: Try it on one ward first", ->(now) { now.acting.consideration(:benefit).mark == 1 }
    ],
    "Practice::WriteMeasure" => [
      ->(e) { e::WriteMeasure.new(measure_id: nil, given: { name: "Delirium" }) },
      "Measure “Delirium”, 0 data points", ->(now) { now.acting.measures.map(&:id) == [1, 2] }
    ],
    "Practice::RemoveMeasure" => [
      ->(e) { e::RemoveMeasure.new(measure_id: 1) },
      "Deleted the measure “Falls”", ->(now) { now.acting.measures.empty? }
    ],
    "Practice::WriteBrief" => [
      ->(e) { e::WriteBrief.new(conclusion: "Yes.", plan: { where: "Bay 1" }) },
      "Wrote the conclusion and the action plan", ->(now) { [now.conclusion, now.plan.where] == ["Yes.", "Bay 1"] }
    ],
    "Practice::PlanSteps" => [
      lambda { |e|
        e::PlanSteps.new(needs: { stops: "Lights" }, steps: [Hobrin::Brief::ActionPlan::Step.new(what: "Ask", done: true)],
                         cycles: [Hobrin::Brief::ActionPlan::PdsaCycle.new(plan: "One night")])
      },
      "Planned 1 steps, 1 done, and 1 PDSA cycles", ->(now) { now.plan.stops == "Lights" && now.acting.cycles.one? }
    ],
    "Practice::Sign" => [
      ->(e) { e::Sign.new(name: " A  nurse ") },
      "A nurse signed off the brief, version 1",
      lambda { |now|
        now.acting.signed.map(&:to_h) == [{ name: "A nurse", on: Date.new(2026, 11, 23), line: 3, gaps: [], reason: "" }]
      }
    ],
    "Trail::Restore" => [
      ->(e) { e::Restore.new(number: 1) },
      "Restored line 1", ->(now) { now.blocks.empty? && now.next_term == 5 }
    ],
    "Trail::Undo" => [
      ->(e) { e::Undo.new },
      "Undid: Moved a to P", ->(now) { now.blocks.empty? }
    ],
    "Trail::NameLine" => [
      ->(e) { e::NameLine.new(name: "Broad", tree: s::Lines::Line.new(name: "1")) },
      "Named search “broad”: 1", ->(now) { now.lines.map(&:name) == ["broad"] }
    ],
    "Trail::RecordForgetting" => [
      ->(e) { e::RecordForgetting.new }, "A text was deleted permanently from this inquiry", ->(now) { now.blocks.size == 2 }
    ],
    "Trail::RecordRun" => [
      ->(e) { e::RecordRun.new(before: 3, papers: 4, fresh: 1) },
      "Re-run: 4 papers, 1 of them new", ->(now) { now.blocks.size == 2 }
    ]
  }

  cases.each do |name, (make, words, left)|
    it "#{name}: changes the inquiry it is given and says so" do
      step = name.split("::").first
      edit = instance_exec(described_class.const_get(step), &make)
      change = edit.call(inquiry, surroundings)
      stored = Hobrin::Store::ExpressionDocument::Facts.load(Hobrin::Store::ExpressionDocument::Facts.dump(change.facts))
      expect(described_class::Wording.of(change.kind, stored)).to eq(words)
      expect(left.call(change.inquiry)).to be_truthy
      expect(edit.call(inquiry, surroundings)).to eq(change)
    end
  end

  it "gives empty blocks their first terms in one change, and leaves those that have some" do
    empty = Hobrin::Inquiry.new(question:).with_leaf("P", words("adult*"))
    terms = { "I" => [[:heading, "Noise"], [:words, "earplug*"]], "P" => [[:words, "x"]], "O" => [] }
    change = described_class::Additions::StartBlocks.new(terms:).call(empty, surroundings)
    expect(described_class::Wording.of(change.kind, change.facts)).to eq("Added the first 2 terms of the question to I")
    expect(%w[I P].map { |key| change.inquiry.block(key).terms.map(&:label) }).to eq([["Noise", "earplug*"], ["adult*"]])
    again = described_class::Additions::StartBlocks.new(terms:)
    expect { again.call(change.inquiry, surroundings) }.to raise_error(Hobrin::InputError, /already have terms/)
  end

  it "adds what is joined by operators as terms, and what stands behind NOT as one that takes papers away" do
    change = described_class::Additions::AddTyped.new(block: "I", typed: "mask* OR lamp NOT noise").call(inquiry, surroundings)
    expect(described_class::Wording.of(change.kind, change.facts)).to eq("Added words mask*, words lamp to I; excluded Noise (NOT)")
    expect(change.inquiry.block("I").excluded.map(&:label)).to eq(["Noise"])
    unread = described_class::Additions::AddTyped.new(block: "I", typed: "mask AND lamp")
    expect { unread.call(inquiry, surroundings) }.to raise_error(Hobrin::InputError, /“AND” cannot be read/)
  end

  # Those that need more than this stand in services/ and web/people: filters, papers read twice, papers that were let in, going
  # forth,
  # lines taken off, several papers at once, citations followed.
  it "has a case for every edit" do
    elsewhere = %w[Limits::ApplyFilter Papers::RemoveMustFind Papers::RemoveManually Screen::DecideSeveral Screen::SearchCitations Screen::Resolve
                   Trail::Redo Trail::RemoveLine Additions::StartBlocks]
    families = described_class.constants.map { |name| described_class.const_get(name) }.grep(Module).grep_v(Class)
    values = families.flat_map { |family| family.constants.map { |name| family.const_get(name) } }
    edits = values.select { |one| one.is_a?(Class) && one < Hobrin::Edits::Edit && one.method_defined?(:call) }
    names = edits.map { |edit| edit.name.delete_prefix("Hobrin::Edits::") }
    expect(names.grep_v(/(Edit|Addition|Going)\z/)).to match_array(cases.keys + elsewhere)
  end

  it "names each move by what it changes, and each name leads to that move alone" do
    moves = Hobrin::Narrowing::Moves.of(inquiry, surroundings)
    expect(moves.call.map(&:name).uniq.size).to eq(moves.call.size)
    humans = inquiry.with_limit(s::Limit.new(name: :species, values: ["humans"]))
    other = Hobrin::Narrowing::Moves.of(humans, surroundings)
    kept = moves.call.select { |one| %i[main_on words narrower title_only].include?(one.kind) }
    expect(kept.map { |one| other.named(one.name).wording }).to eq(kept.map(&:wording))
    expect(other.named("main_on|term=3|label=Sleep")).to be_nil
  end

  it "is about what it changes and about nothing else" do
    edit = described_class::Terms::CrossOut.new(term_id: 1, reason: "")
    same = inquiry.with_leaf("I", words("mask*")).with(conclusion: "x")
    expect(edit.about(same)).to eq(edit.about(inquiry))
    reword = described_class::Terms::Reword.new(term_id: 1, leaf: words("muff*"))
    expect(edit.about(reword.call(inquiry, surroundings).inquiry)).not_to eq(edit.about(inquiry))
  end
end
