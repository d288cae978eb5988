# frozen_string_literal: true

RSpec.describe "Review of the search by a colleague", :client do
  include SmallWard
  include Ward

  def review(**sent)
    send_form("/inquiries/1/search-review", verdict: "changes", "remarks[words]": "Add masks.", show: "check", **sent)
  end

  it "is kept with its line, said in the log, and told as outdated when the search has changed" do
    sign_in(:owner)
    visit_page("/inquiries/1/narrow?show=check")
    expect([review.status, last_response.body]).to match([422, include("not the owner of the inquiry", "Add masks.")])
    sign_in(:second)
    visit_page("/inquiries/1/narrow?show=check")
    { { verdict: "" } => "Choose whether you accept", { "remarks[words]": "" } => "Say what should change",
      { "remarks[words]": "x" * 501 } => "Keep this to 500" }.each do |sent, words|
      expect([sent, review(**sent).status, last_response.body]).to match([sent, 422, include(words)])
    end
    expect(review.status).to eq(303)
    kept = context.inquiries.find(1)
    expect(kept.inquiry.peer_reviews.map do |one|
      [one.name, one.verdict, one.line]
    end).to eq([[person(:second).name, :changes, kept.version]])
    page = visit_page("/inquiries/1/narrow?show=check").body
    expect(page).to include(person(:second).name, "changes requested", "Add masks.")
    expect(page).not_to include("The search has changed since")
    sign_in(:owner)
    visit_page("/inquiries/1/narrow")
    send_form("/inquiries/1/limits", limit: "sex", values: "female")
    expect(visit_page("/inquiries/1/narrow?show=check").body).to include("The search has changed since")
    log = visit_page("/inquiries/1/log.txt").body.gsub(/\s+/, " ")
    expect(log).to include("Reviewed by #{person(:second).name} on", "changes requested. Text words: Add masks.")
  end
end
