# frozen_string_literal: true

# People of a ward: joining, signing in with a second step, reading twice and settling.
RSpec.describe "People", :browser do
  def sign_in_as(login, password)
    visit "/sign-in"
    fill_in "login", with: login
    fill_in "password", with: password
    click_button "Sign in"
  end

  def sign_out
    click_button "Sign out"
    expect(page).to have_text("You are signed out.")
  end

  describe "of a ward where everybody signs in" do
    include SmallWard
    include Ward

    def shared
      people
      { required: true, post: outbox }
    end

    def clean = expect(page).to be_clean

    it "join by an address, put a second step on, and come back with it" do
      visit "/inquiries/1/sift"
      expect(page).to have_css("h1", text: "Sign in")
      clean
      sign_in_as "runa@ward.example", "not that"
      expect(page).to have_text("Wrong user name or password")
      sign_in_as "runa@ward.example", Ward::WORD
      click_link "Runa Ostel"
      click_link "People and wards"
      clean
      fill_in "Name", with: "Jonna Brisk"
      click_button "Create invitation"
      address = URI(find("code.secret").text).path
      sign_out
      visit address
      fill_in "login", with: "jonna"
      fill_in "password", with: "short"
      click_button "Join"
      expect(page).to have_css(".problem", text: "at least 10 characters")
      clean
      fill_in "password", with: "one more quiet night"
      click_button "Join"
      expect(page).to have_css("h1", text: "Sign in")
      sign_in_as "jonna", "one more quiet night"
      click_link "Jonna Brisk"
      click_link "turn on"
      clean
      fill_in "password", with: "one more quiet night"
      fill_in "otp", with: ROTP::TOTP.new(find("code.secret").text.delete(" ")).now
      click_button "Turn on two-step verification"
      fill_in "password", with: "one more quiet night"
      click_button "Show codes"
      expect(page).to have_css(".spare-codes li", count: 16)
      spare = first(".spare-codes code").text
      sign_out
      sign_in_as "jonna", "one more quiet night"
      expect(page).to have_css("h1", text: "Two-step verification")
      visit "/inquiries/1/ask"
      expect(page).to have_css("h1", text: "Two-step verification")
      click_link "Use a backup code"
      fill_in "recovery-code", with: spare
      click_button "Continue"
      expect(page).to have_text("What is your clinical question?")
      visit "/inquiries/1/ask"
      expect(page).to have_text("You have read-only access")
      expect(page).to have_css("#text[disabled], fieldset[disabled]")
    end
  end

  describe "of the demo", :sample do
    def shared = { required: false, demo: true, post: Hobrin::Outside::Post.new }

    def be(name)
      visit "/sign-in"
      click_button "Sign in as #{name}"
      expect(page).to have_link(name, href: "/account")
    end

    it "read the same papers apart, see where they differ, and settle it" do
      be "Oskar Thimmel"
      find("a.inquiry-link", match: :first).click
      click_link "Screen"
      expect(page).to have_css(".twice-bar", text: "3 differences to resolve")
      click_link "Differences and agreement"
      expect(page).to be_clean
      expect(page).to have_text("agree on 32 (86 %)")
      within first(".difference") do
        fill_in "Reason", with: "Groups were made by date."
        select "Not a study"
        click_button "Exclude"
      end
      expect(page).to have_text("2 to resolve, 3 resolved")
      within(first(".difference")) { click_button "Include" }
      expect(page).to have_text("1 to resolve, 4 resolved")
      sign_out
      be "Maren Vendrillon"
      visit "/inquiries/1/trail"
      expect(page).to have_text(/Resolved: Excluded .*Maren Vendrillon unsure, Oskar Thimmel exclude/)
      visit "/inquiries/1/weigh"
      expect(page).to have_css(".tab", text: "7 included")
      visit "/inquiries/1/people"
      expect(page).to be_clean
      within(:xpath, "//section[contains(., 'Dual screening')]") { click_button "Stop (agreed decisions are kept)" }
      expect(page).to have_button("Start dual screening")
    end

    def weigh_apart(says, paper)
      visit "/inquiries/4/weigh?#{Rack::Utils.build_query("paper" => paper)}"
      within(".sheet") { first("label", text: says).click }
      expect(page).to have_button("Mark as done")
      click_button "Mark as done"
    end

    it "weigh a paper apart that nobody had weighed, and settle it point by point" do
      be "Maren Vendrillon"
      visit "/inquiries/4/sift?part=unread"
      click_button "Include"
      expect(page).to have_css(".dock-count", text: /6\s+included/)
      paper = context.inquiries.find(4).inquiry.kept_ids.last
      visit "/inquiries/4/people"
      within(:xpath, "//section[contains(., 'Dual appraisal')]") do
        select "Oskar Thimmel", from: "Second appraiser"
        click_button "Start dual appraisal"
      end
      expect(page).to have_text("are appraising the papers independently")
      weigh_apart("Yes", paper)
      expect(page).to have_css(".twice-bar", text: "Maren Vendrillon has finished 1")
      expect(page).to be_clean
      visit "/"
      sign_out
      be "Oskar Thimmel"
      weigh_apart("Mostly", paper)
      click_link "Resolve differences"
      expect(page).to have_text("1 to resolve, 0 resolved")
      expect(page).to be_clean
      sign_out
      be "Maren Vendrillon"
      visit "/inquiries/4/sheets"
      all(".point").each { |point| point.first("input").click if point.has_no_css?("input:checked", wait: 0) }
      click_button "Save as final"
      expect(page).to have_text("0 to resolve, 1 resolved")
      visit "/inquiries/4/trail"
      expect(page).to have_text(/Resolved the checklist of .*Maren Vendrillon .*Oskar Thimmel/)
    end
  end
end
