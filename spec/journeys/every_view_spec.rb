# frozen_string_literal: true

# What holds on every view: nothing foreign is asked for, and nothing is in the way of a person who
# cannot see, or cannot open a wide window.
RSpec.describe "Every view", :sample, :browser do
  it "is not called clean when something is wrong" do
    visit "/"
    page.execute_script("document.querySelector('main').append(document.createElement('img'))")
    expect(page).not_to be_clean
  end

  steps = %w[ask word narrow sift weigh act trail narrow?opened=limit-age ask?phrase=P:3 trail?line=20&with=31
             narrow?show=limits narrow?show=filters&kind=diagnosis trail?again=yes
             act?show=steps act?show=versions&version=1 act?show=whole]
  views = ["/", "/library", "/library/doubles", "/library?back=1", *steps.map do |step|
    "/inquiries/1/#{step}"
  end, "/inquiries/5/ask", "/inquiries/77/ask"]

  # They only read, so they share a home and a server. What is open on a page is read by axe wide only: the page itself was
  # read narrow, too.
  it "is clean for axe and the console, and fits 390 px" do
    views.each { |view| aggregate_failures(view) { expect_clean(view, narrow: !view.include?("?")) } }
  end
end
