# frozen_string_literal: true

# What all inquiries share is changed by a librarian, written to the log, and can be undone. Whoever
# works on one inquiry changes nothing for others.
RSpec.describe "What all inquiries share", :client do
  include SmallWard
  include Ward

  def pdf(text)
    file = home.join("#{text}.pdf")
    Prawn::Document.generate(file) { |page| page.text text }
    Rack::Test::UploadedFile.new(file.to_s, "application/pdf")
  end

  def keep(text) = send_form("/inquiries/1/full-text", paper: "p0", file: pdf(text))
  def kept_for(key) = context.as(person(key)).papers.text("p0").to_s.strip
  def log = context.directory.audit.last(50).map { |line| [line.who, line.what, line.about] }
  def undo_last = send_form("/library/changes/#{context.house_changes.last(1).first.id}")

  before { require "prawn" }

  it "changes the link resolver and a filter for a librarian alone, and puts both back" do
    sign_in(:owner)
    visit_page("/inquiries/1/sift?show=full&paper=p0")
    expect(last_response.body).not_to include("link resolver")
    expect(send_form("/inquiries/1/resolver", paper: "p0", resolver: "https://theft.example/x").status).to eq(403)
    visit_page("/inquiries/1/narrow?show=filters")
    expect(send_form("/inquiries/1/filter", title: "Quiet", terms: "quiet*").status).to eq(303)
    expect([context.own_filters.all, context.inquiries.find(1).inquiry.limits.size]).to eq([[], 1])

    sign_in(:librarian)
    visit_page("/inquiries/1/sift?show=full&paper=p0")
    send_form("/inquiries/1/resolver", paper: "p0", resolver: "https://links.example/openurl")
    expect(context.settings["resolver"]).to eq("https://links.example/openurl")
    send_form("/inquiries/1/filter", title: "Quiet", terms: "quiet*")
    send_form("/inquiries/1/filter", title: "Quiet", terms: "silen*", replace: "yes")
    expect(context.own_filters.all.map(&:terms)).to match([/silen/])
    undo_last
    expect(context.own_filters.all.map(&:terms)).to match([/quiet/])
    send_form("/inquiries/1/filter", forget: "Quiet")
    expect(context.own_filters.all).to eq([])
    undo_last
    expect(context.own_filters.all.map(&:terms)).to match([/quiet/])
    page = visit_page("/library").body
    expect(page).to include("The link resolver was changed", "Undone by Ines Quarrel")
    first = context.house_changes.last(50).last.id
    send_form("/library/changes/#{first}")
    expect(context.settings["resolver"]).to eq("")
    expect(send_form("/library/changes/#{first}").status).to eq(404)
    expect(log).to include(["Ines Quarrel", "changed for all", "resolver"], ["Ines Quarrel", "undone for all", "resolver"])
    sign_in(:reader)
    visit_page("/library")
    expect([send_form("/library/changes/1").status, last_response.body.include?("The link resolver")]).to eq([403, false])
  end

  it "keeps a PDF of one ward for that ward, a librarian's for all, and brings back what was replaced or removed" do
    sign_in(:owner)
    visit_page("/inquiries/1/sift?show=full&paper=p0")
    expect(keep("ours").status).to eq(303)
    expect(%i[owner reader stranger].map { |key| kept_for(key) }).to eq(["ours", "ours", ""])
    sign_in(:runs)
    context.standings.put(1, ward_id: wards[:other].id, owner_id: people[:stranger])
    sign_in(:stranger)
    visit_page("/inquiries/1/sift?show=full&paper=p0")
    expect(send_form("/inquiries/1/full-text", paper: "p0", do: "remove").status).to eq(404)
    context.standings.put(1, ward_id: wards[:first].id, owner_id: people[:owner])

    sign_in(:librarian)
    visit_page("/inquiries/1/sift?show=full&paper=p0")
    keep("everybody's")
    expect(%i[owner stranger].map { |key| kept_for(key) }).to eq(["ours", "everybody’s"].map { |text| text.tr("’", "'") })
    sign_in(:owner)
    visit_page("/inquiries/1/sift?show=full&paper=p0")
    send_form("/inquiries/1/full-text", paper: "p0", do: "remove")
    expect(kept_for(:owner)).to eq("everybody's")
    expect([send_form("/inquiries/1/full-text", paper: "p0", do: "remove").status, told])
      .to match([422, include(/Only a librarian can remove it/)])
    sign_in(:librarian)
    visit_page("/library")
    undo_last
    expect(kept_for(:owner)).to eq("ours")
    undo = context.house_changes.last(50).find { |one| one.ward_id.nil? }.id
    send_form("/library/changes/#{undo}")
    expect(%i[owner stranger].map { |key| kept_for(key) }).to eq(["ours", ""])
  end

  it "keeps an archive's papers with its inquiry, until a librarian adds them" do
    decide = Hobrin::Screening::Decision.new(record_id: "p0", verdict: :keep)
    people
    Hobrin::Services::ApplyEdit.new(context).call(1, Hobrin::Edits::Screen::Decide.new(decision: decide))
    archive = Hobrin::Services::Archives.new(context).write(1).body
    context.library.take_out(["p0"], at: context.clock.now)
    sign_in(:reader)
    opened = Hobrin::Services::Inquiries::Copy.new(context.as(person(:reader))).open(archive)
    expect(context.library.record("p0")).to be_nil
    visit_page("/")
    expect(visit_page("/inquiries/#{opened}/weigh").body).to include("Sleep on wards, paper 0")
    expect(visit_page("/inquiries/#{opened}/files/brief.md").body).to include("Sleep on wards, paper 0")
    expect(visit_page("/inquiries/1/files/brief.md").body).not_to include("Sleep on wards, paper 0")
    expect(visit_page("/inquiries/#{opened}/sift").body).to include("A librarian can add them")
    expect(send_form("/inquiries/#{opened}/records").status).to eq(403)
    sign_in(:librarian)
    visit_page("/inquiries/#{opened}/sift")
    expect(send_form("/inquiries/#{opened}/records").status).to eq(303)
    expect([context.library.record("p0")&.title, context.own_records.of(opened)]).to eq(["Sleep on wards, paper 0", []])
    sign_in(:stranger)
    expect(visit_page("/inquiries/#{opened}/sift").status).to eq(404)
  end

  it "signs a brief in the name of who signed in" do
    sign_in(:owner)
    visit_page("/inquiries/1/act")
    send_form("/inquiries/1/act", conclusion: "Quiet may help.")
    expect(visit_page("/inquiries/1/act?show=versions").body).not_to include("name=\"signer\"")
    send_form("/inquiries/1/signatures", signer: "Ines Quarrel", reason: "The ward meets")
    expect(context.inquiries.find(1).inquiry.acting.signed.map(&:name)).to eq(["Maren Vendrillon"])
  end
end
