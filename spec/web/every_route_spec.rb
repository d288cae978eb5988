# frozen_string_literal: true

# Every route with every parameter it reads, and values that no page sends: never a fault of ours, and
# never a wait. What is too slow is told beside a plain page of the same run.
RSpec.describe "Every route", :sample, :client, :slow do
  include Timing

  let(:reads) do
    { "ask" => %w[phrase show], "word" => %w[open block typed to part part_count],
      "offers" => %w[block typed], "narrow" => %w[show opened order more kind all limit two what_if source crossed_out],
      "sift" => %w[paper show order group part rung find style], "full-text" => %w[paper],
      "list.ris" => %w[part rung find order],
      "weigh" => %w[paper show numbers outcome part by take as result finding for prevalence],
      "act" => %w[opened show measure version style],
      "files/brief.md" => %w[style],
      "trail" => %w[line with step who again], "since" => %w[seen] }
  end
  let(:writes) do
    { "ask" => %w[seen situation question kind frame use_P typed_P mark mark_text mark_from take
                  unmark edge leave instead stated next],
      "terms" => %w[seen block typed meant first heading words author journal list headings as aspects part
                    part_count open],
      "terms/1" => %w[seen turn do reason text in as distance ordered split to open],
      "blocks/P" => %w[do operator from key], "aim" => %w[aim_from aim_to],
      "limits" => %w[seen limit values from_year to_year stated], "limits/age" => %w[do],
      "what-ifs" => %w[try dismiss], "must-find" => %w[known reading remove],
      "let-in" => %w[paper do], "check" => %w[finding],
      "search-review" => %w[seen reviewer verdict remarks show],
      "filter" => %w[kind put put_own forget title terms usual replace],
      "decisions" => %w[paper verdict reason note although_retracted following order part],
      "several" => %w[papers whole verdict reason part find], "threads" => %w[show],
      "full-text" => %w[paper file do], "resolver" => %w[resolver paper],
      "weigh" => %w[paper design reviewed answers shown take concerns concern_why applies graded
                    graded_why finding next rest asked],
      "sheet" => %w[paper answers do], "sheets" => %w[paper points finding],
      "outcomes" => %w[do outcome name kind better matters worthwhile baseline measure model level knapp
                       domain steps why part],
      "results" => %w[do paper result outcome form measure events total comparison_events mean size group
                      time shown turned trap],
      "findings" => %w[do finding text papers speaks words component steps why],
      "act" => %w[seen conclusion proposed what where who from_when measured look_again],
      "deliberation" => %w[marks lines decision next],
      "steps" => %w[stops needed agree risk step_on step_who step_what step_done cycle_plan cycle_did
                    cycle_saw cycle_next_time next],
      "signatures" => %w[seen signer reason], "address" => %w[do],
      "measures" => %w[do measure name sort way better counted of target started numbers],
      "lines" => %w[title name notation do line], "undo" => %w[way], "redo" => %w[way],
      "trail" => %w[line do note note_was], "again" => %w[again],
      "elsewhere" => %w[do source most there crossed_out], "feed" => %w[do] }
  end
  let(:values) do
    { list: %w[a b], hash: { "x" => "y" }, deep: { "a" => { "b" => { "c" => ["d"] } } }, nothing: "",
      nul: "a\0b", bad: "\xFF\xFE", minus: "-1", huge: "9" * 400, digits: "1" * 22,
      wide: "𝒳👵🏽½", long: "é " * 500, longer: "a(" * 20_000, spaces: " " * 900,
      marks: "\"?*(" * 200, fraction: "0.5", colon: ":::|a|b=" }
  end

  it "answers everything that is sent, and quickly" do
    visit_page "/inquiries/1/ask"
    plain = Array.new(5) { timed { visit_page "/inquiries/1/narrow" } }.max
    slow = []
    enough = [plain * 12, 0.5].max
    each_request do |name, request|
      seconds = timed(&request)
      expect([name, last_response.status]).to match([name, be < 500])
      slow << [name, seconds / plain] if seconds > enough && least_time(&request) > enough
    end
    expect(slow).to eq([])
  end

  it "takes time as the length of a text, up to the most that it may have" do
    visit_page "/inquiries/1/ask"
    { "ask" => %w[question situation typed_P mark_text], "terms" => %w[typed list journal author],
      "terms/1" => %w[text], "must-find" => %w[known], "filter" => %w[terms],
      "lines" => %w[notation], "limits" => %w[values] }.each do |path, names|
      names.product([" ", "a or ", "(", "delirum "]).each do |name, filler|
        expect_linear([path, name, filler], [2_000, 4_000, 8_000, 16_000]) do |size|
          send_form("/inquiries/1/#{path}", name.to_sym => "x#{(filler * size)[0, size]}y",
                                            block: "P", do: "reword")
        end
        expect(last_response.status).to be < 500
      end
    end
  end

  # Each parameter with some of the values, in turns, so that every route meets them all.
  def each_request
    each_value(reads) do |path, name, kind, value|
      yield "GET #{path} #{name} #{kind}", -> { get_page("/inquiries/1/#{path}", name => value) }
    end
    each_value(writes) do |path, name, kind, value|
      yield "POST #{path} #{name} #{kind}", -> { send_form("/inquiries/1/#{path}", name.to_sym => value) }
    end
  end

  def each_value(routes)
    turn = 0
    routes.each do |path, names|
      names.each do |name|
        some = values.to_a.rotate(turn += 5).first(values.size.fdiv(names.size).ceil)
        some.each { |kind, value| yield path, name, kind, value }
      end
    end
  end

  def get_page(path, params)
    header "Host", "127.0.0.1"
    get path, params
  end
end
