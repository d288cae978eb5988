# frozen_string_literal: true

# Two people read the same papers. Whatever one of them decides, the other sees the same, in every
# page, file, feed and count, until they have decided on that paper themselves.
RSpec.describe "Dual screening", :client do
  include SmallWard
  include Ward
  include EveryAddress

  def seen_by_the_second
    sign_in(:second)
    everything_seen
  end

  # A copy of one ward, in which the owner decides on papers before the second reader comes, and
  # then on two more.
  def world(*decisions, before: [])
    first = people && home
    # One key signs the archives of both.
    Hobrin::Store::SigningKey.new(first).key
    @home = Pathname(Dir.mktmpdir("hobrin-world")).tap do |folder|
      FileUtils.cp_r("#{first}/.", folder)
    end
    @context = @app = @outbox = @_rack_test_sessions = @_rack_test_current_session = nil
    @context = Hobrin::Boot.context(home:, who: "a test", clock: Builders::FixedClock)
    context.shared_briefs.share(1, token: "f" * 40, at: context.clock.now, kind: "feed")
    sign_in(:owner)
    visit_page("/inquiries/1/sift")
    before.each { |sent| send_form("/inquiries/1/decisions", **sent) }
    sign_a_version if before.any?
    visit_page("/inquiries/1/people")
    send_form("/inquiries/1/twice", second: people[:second])
    visit_page("/inquiries/1/sift")
    decisions.each { |sent| expect(send_form("/inquiries/1/decisions", **sent).status).to eq(303) }
    yield
  ensure
    FileUtils.rm_rf(@home)
    @home = first
    @context = nil
  end

  it "shows the second reader the same, whatever the first decided" do
    keeps = [{ paper: "p0", verdict: "keep", note: "plainly ours" },
             { paper: "p1", reason: "No study" }]
    drops = [{ paper: "p0", reason: "Other people", note: "far away" },
             { paper: "p1", verdict: "unsure" }]
    one, other = [keeps, drops].map { |decisions| world(*decisions) { seen_by_the_second } }
    expect(one.size).to be > 40
    one.each { |path, said| expect([path, said]).to eq([path, other[path]]) }
    expect(one.values.map(&:last).join).not_to match(/plainly ours/)
    expect(one.values.count { |status, _| status == 200 }).to be > 30
  end

  def sign_a_version
    visit_page("/inquiries/1/act")
    send_form("/inquiries/1/act", conclusion: "Quiet may help.")
    expect(send_form("/inquiries/1/signatures", signer: "Maren Vendrillon", reason: "The ward meets").status).to eq(303)
  end

  # Without what differs from one request to the next.
  def plain(body) = body.gsub(/(?:value|content|hx-headers)=(?:"[^"]{80,}"|'[^']*')/, "")

  it "hides what was decided before, also where it is undone, restored, signed or looked at on the trail" do
    keeps = [{ paper: "p2", verdict: "keep", note: "zanlock" }, { paper: "p3", verdict: "keep" }]
    drops = [{ paper: "p2", reason: "Other people", note: "quevrin" }, { paper: "p3", verdict: "unsure" }]
    one, other = [keeps, drops].map do |before|
      world({ paper: "p0", verdict: "keep" }, before:) do
        inquiry = -> { context.inquiries.find(1).inquiry }
        held = inquiry.call.decisions
        expect(held.map(&:record_id)).to eq(%w[p2 p3])
        begun = context.inquiries.find(1).version
        first = context.inquiries.trail(1).map(&:number).min
        visit_page("/inquiries/1/trail")
        3.times { send_form("/inquiries/1/undo") }
        expect(inquiry.call.decisions).to eq(held)
        send_form("/inquiries/1/trail", line: first, do: "restore")
        expect([inquiry.call.decisions, inquiry.call.blocks]).to eq([held, []])
        visit_page("/inquiries/1/trail")
        send_form("/inquiries/1/trail", line: begun, do: "restore")
        visit_page("/inquiries/1/sift")
        expect([send_form("/inquiries/1/decisions", paper: "p2", verdict: "unsure").status, told])
          .to match([422, include(/before dual screening began/)])
        sign_in(:second)
        lines = (1..begun).map { |at| "/inquiries/1/trail?line=#{at}" }
        asked = [*lines, "/inquiries/1/sift?paper=p2", "/inquiries/1/weigh?paper=p2", "/inquiries/1/act?show=versions&version=1"]
        { **everything_seen, **asked.to_h { |path| [path, plain(visit_page(path).body)] } }
      end
    end
    one.each { |path, said| expect([path, said]).to eq([path, other[path]]) }
    expect(one.values.join).not_to match(/zanlock|quevrin/)
    expect(one.values.join).to include("2 papers decided before dual screening began are outside it")
  end

  it "opens a paper when both have decided, settles where they differ, and keeps all three in the trail" do
    world({ paper: "p0", verdict: "keep", note: "plainly ours" },
          { paper: "p1", verdict: "keep" }) do
      sign_in(:second)
      visit_page("/inquiries/1/sift")
      send_form("/inquiries/1/decisions", paper: "p0", reason: "Other people")
      send_form("/inquiries/1/decisions", paper: "p1", verdict: "keep")
      inquiry = -> { context.inquiries.find(1).inquiry }
      expect(inquiry.call.kept_ids).to eq(["p1"])
      expect(visit_page("/inquiries/1/differences").body).to include("plainly ours", "1 to resolve",
                                                                     "agree on 1 (50 %)")
      visit_page("/inquiries/1/sift")
      send_form("/inquiries/1/decisions", paper: "p0", verdict: "keep")
      expect([last_response.status, told]).to match([422, include(/Resolve your differences? together/)])
      sign_in(:reader)
      visit_page("/inquiries/1/differences")
      expect(send_form("/inquiries/1/differences", paper: "p0", verdict: "keep").status).to eq(403)
      sign_in(:owner)
      visit_page("/inquiries/1/differences")
      expect(send_form("/inquiries/1/differences", paper: "p0", verdict: "drop",
                                                   reason: "Because").status).to eq(422)
      send_form("/inquiries/1/differences", paper: "p0", verdict: "drop", reason: "Other people",
                                            note: "talked over")
      expect(inquiry.call.decision("p0")).to have_attributes(verdict: :drop, note: "talked over")
      expect(send_form("/inquiries/1/differences", paper: "p0", verdict: "keep").status).to eq(404)
      line = context.inquiries.trail(1).first
      expect(line.kind).to eq(:settled)
      expect(line.facts[:read]).to eq([["Maren Vendrillon", "keep", nil, "plainly ours"],
                                       ["Oskar Thimmel", "drop", "Other people", ""]])
      expect(line.change).to include("Resolved: Excluded", "Maren Vendrillon include",
                                     "Oskar Thimmel exclude (wrong population)")
    end
  end

  it "leaves what was decided alone as it is, outside, and lets nobody else read" do
    people
    decision = Hobrin::Screening::Decision.new(record_id: "p2", verdict: :keep)
    Hobrin::Services::ApplyEdit.new(context).call(1, Hobrin::Edits::Screen::Decide.new(decision:))
    sign_in(:owner)
    visit_page("/inquiries/1/people")
    expect(send_form("/inquiries/1/twice", second: people[:stranger]).status).to eq(422)
    send_form("/inquiries/1/twice", second: people[:second])
    expect(context.inquiries.find(1).inquiry.decisions).to eq([decision])
    expect(context.readings.of(1, people[:owner])).to eq([])
    sign_in(:librarian)
    visit_page("/inquiries/1/sift")
    expect([send_form("/inquiries/1/decisions", paper: "p0", verdict: "keep").status, told])
      .to match([422, include(/Maren Vendrillon and Oskar Thimmel screen the papers/)])
    sign_in(:owner)
    visit_page("/inquiries/1/people")
    send_form("/inquiries/1/twice", do: "stop")
    expect(visit_page("/inquiries/1/differences").status).to eq(404)
    send_form("/inquiries/1/decisions", paper: "p0", verdict: "keep")
    expect(context.inquiries.find(1).inquiry.kept_ids).to eq(%w[p2 p0])
  end

  it "sums up agreement from the pairs, warns where one verdict is nearly all, and says nothing of nothing" do
    pair = lambda do |verdicts|
      first, second = verdicts.map do |verdict|
        Hobrin::Screening::Decision.new(record_id: "x", verdict:,
                                        reason: ("No study" if verdict == :drop))
      end
      Hobrin::Screening::DualScreening::Pair.new(first:, second:)
    end
    twice = lambda do |counts|
      Hobrin::Screening::DualScreening.new(pairs: counts.flat_map do |both, count|
        Array.new(count) do
          pair[both]
        end
      end)
    end
    even = twice[{ %i[keep keep] => 20, %i[keep drop] => 5, %i[drop keep] => 10,
                   %i[drop drop] => 15 }]
    expect(even.agreement.table).to eq([[20, 0, 5], [0, 0, 0], [10, 0, 15]])
    expect(even.words).to match([/50 papers and agree on 35 \(70 %\).*chance alone would give 50 %/,
                                 /Kappa 0.40 .*agree on 40 %/])
    expect(even.differing.size).to eq(15)
    sided = twice[{ %i[drop drop] => 96, %i[keep drop] => 2, %i[drop keep] => 2 }]
    expect(sided.words.last).to match(/98 % of all decisions are the same, which makes kappa low/)
    expect(twice[{}].words).to eq(["The second reviewer has not screened any papers yet."])
    expect(twice[{ %i[keep keep] => 3 }].words.last).to match(/kappa cannot be calculated/)
  end
end
