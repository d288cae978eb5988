# frozen_string_literal: true

# Two people weigh the same kept papers. Whatever one of them answers, the other sees the same, in
# every page, file and level, until both are done with the paper.
RSpec.describe "Dual appraisal", :client do
  include SmallWard
  include Ward
  include EveryAddress

  before do
    people
    %w[p0 p1].each do |id|
      decision = Hobrin::Screening::Decision.new(record_id: id, verdict: :keep)
      Hobrin::Services::ApplyEdit.new(context).call(1, Hobrin::Edits::Screen::Decide.new(decision:))
    end
    context.shared_briefs.share(1, token: "f" * 40, at: context.clock.now, kind: "feed")
  end

  let(:design) { "randomized_trial" }
  let(:questions) { Hobrin::Appraisal::Checklists.for(Hobrin::Appraisal::Design.fetch(design)).questions.map(&:key) }

  def begin_apart(second: :second)
    sign_in(:owner)
    visit_page("/inquiries/1/people")
    send_form("/inquiries/1/twice", step: "weigh", second: people[second])
  end

  def weigh(paper, answers, **more)
    visit_page("/inquiries/1/weigh?paper=#{paper}")
    send_form("/inquiries/1/sheet", paper:, design:, answers:, **more)
  end

  def inquiry = context.inquiries.find(1).inquiry
  def all(says) = questions.to_h { |key| [key, says] }

  it "shows the second the same, whatever the first answered, and nothing of it stands in the inquiry" do
    begin_apart
    one, other = [%w[yes ours], %w[no theirs]].map do |says, word|
      sign_in(:owner)
      expect(weigh("p0", all(says), finding: "plainly #{word}", graded: "1", graded_why: "since #{word}",
                                    applies: { people: "far" }, do: "done").status).to eq(303)
      weigh("p1", all(says), do: "")
      sign_in(:second)
      everything_seen
    end
    expect(one.size).to be > 40
    one.each { |path, said| expect([path, said]).to eq([path, other[path]]) }
    expect(one.values.count { |status, _| status == 200 }).to be > 30
    expect(one.values.map(&:last).join).not_to match(/plainly|since ours/)
    expect(inquiry.weighing.papers).to eq([])
  end

  it "lets hold what both judged alike, and settles the rest point by point, with all of it on the trail" do
    begin_apart
    weigh("p0", all("yes"), do: "done")
    weigh("p1", all("yes"), finding: "It helps.", do: "done")
    sign_in(:second)
    expect([weigh("p1", {}, do: "done").status, told]).to match([422, include(/Answer at least one question/)])
    weigh("p0", all("yes"), do: "done")
    expect(inquiry.paper("p0").concern(nil)).to eq(:low)
    expect(context.inquiries.trail(1).first.change).to match(/Maren Vendrillon and Oskar Thimmel agree on/)
    first, second, *rest = questions
    shown = { second => "By coin." }
    weigh("p1", { **all("yes"), first => "no", second => "mostly" }, shown:, graded: "1", graded_why: "small",
                                                                     do: "done")
    expect(inquiry.paper("p1")).to be_nil
    page = visit_page("/inquiries/1/sheets").body
    expect(page).to include("1 to resolve, 0 resolved", "By coin.", "of #{2 * questions.size} questions".capitalize)
    expect(weigh("p1", all("no")).status).to eq(422)
    visit_page("/inquiries/1/sheets")
    open = send_form("/inquiries/1/sheets", paper: "p1", points: { "answers.#{first}" => "first" })
    expect([open.status, told]).to match([422, include(/every item/)])
    send_form("/inquiries/1/sheets", paper: "p1", finding: "It may help.", points: {
      "answers.#{first}" => "first", "answers.#{second}" => "second", "graded" => "second"
    })
    expect(inquiry.paper("p1")).to have_attributes(finding: "It may help.", graded: 1, graded_why: "small")
    expect(inquiry.paper("p1").answers.transform_values(&:says))
      .to eq({ first => :yes, second => :mostly, **rest.to_h { |key| [key, :yes] } })
    expect(inquiry.paper("p1").answers[second].shown).to eq("By coin.")
    expect(context.inquiries.trail(1).first.facts[:differed].map { |point| point.drop(1) })
      .to contain_exactly(%w[Yes No Yes], %w[Yes Mostly Mostly], ["as in the table", "one level weaker", "one level weaker"])
    expect(send_form("/inquiries/1/sheets", paper: "p1", points: { "graded" => "first" }).status).to eq(404)
  end

  it "leaves what was weighed outside, hides it from the second, and lets nobody else weigh meanwhile" do
    answers = all(:yes).transform_values { |says| Hobrin::Appraisal::Paper::Answer.new(says:) }
    paper = Hobrin::Appraisal::Paper.new(record_id: "p0", design:, answers:)
    edit = Hobrin::Services::ApplyEdit.new(context)
    edit.call(1, Hobrin::Edits::Appraise::SaveAppraisal.new(paper:))
    edit.call(1, Hobrin::Edits::Outcomes::Write.new(outcome_id: nil, given: { name: "Sleep", kind: "events" }))
    begin_apart
    expect(inquiry.paper("p0")).to eq(paper)
    expect(context.sheets.of(1, people[:owner])).to eq([])
    expect(visit_page("/").body).to include("1 paper to appraise")
    visit_page("/inquiries/1/trail")
    send_form("/inquiries/1/trail", line: context.inquiries.trail(1).map(&:number).min, do: "restore")
    expect(inquiry.paper("p0")).to eq(paper)
    visit_page("/inquiries/1/trail")
    send_form("/inquiries/1/undo")
    sign_in(:second)
    expect(visit_page("/inquiries/1/weigh?paper=p0").body).to include("before dual appraisal began")
    expect(weigh("p0", all("no")).status).to eq(422)
    expect(everything_seen.values.join).not_to include("checked value=\"yes\"")
    sign_in(:librarian)
    visit_page("/inquiries/1/weigh?paper=p1")
    expect(last_response.body).to include("appraise this paper independently")
    expect(send_form("/inquiries/1/weigh", paper: "p1", design:, answers: all("no")).status).to eq(422)
    sign_in(:reader)
    visit_page("/inquiries/1/weigh")
    expect([send_form("/inquiries/1/sheet", paper: "p0", design:).status,
            send_form("/inquiries/1/sheets", paper: "p0").status]).to eq([403, 403])
    sign_in(:owner)
    visit_page("/inquiries/1/people")
    send_form("/inquiries/1/twice", step: "weigh", do: "stop")
    expect(visit_page("/inquiries/1/sheets").status).to eq(404)
    expect(send_form("/inquiries/1/weigh", paper: "p0", design:, answers: all("no")).status).to eq(303)
    expect(inquiry.paper("p0").concern(nil)).to eq(:high)
  end
end
