# frozen_string_literal: true

# Signing in by requests alone: what goes wrong, and what somebody tries who should not be here.
RSpec.describe "Signing in", :client do
  include SmallWard
  include Ward

  def codes_shown = last_response.body.scan(%r{<li><code>([^<]+)</code>}).flatten

  # The secret of a second step as the page shows it, with the fields that go along.
  def secret
    page = Nokogiri::HTML(visit_page("/account/second-step").body)
    sent = %w[otp_secret otp_raw_secret].to_h do |name|
      [name.to_sym, page.at_css("[name=#{name}]")["value"]]
    end
    [page.at_css(".secret").text.delete(" "), sent]
  end

  # How many passwords are checked meanwhile, which is nearly all of the time that it takes.
  def checks
    count = 0
    allow(Argon2::Password).to receive(:verify_password).and_wrap_original do |check, *given|
      count += 1
      check.call(*given)
    end
    yield
    count
  end

  it "says the same of a wrong password and of nobody, and takes the same care with both" do
    visit_page "/sign-in"
    said = ["maren@ward.example", "nobody@ward.example"].map do |login|
      expect(checks { send_form("/sign-in", login:, password: "not the right one") }).to eq(1)
      [last_response.status, told, last_response.body.size - login.size]
    end
    expect(said.uniq).to match([[401, ["That name and that password do not go together."],
                                 Integer]])
    expect(sign_in(:owner).headers["location"]).to eq("/")
    expect(visit_page("/").body).to include("Maren Vendrillon", "Sign out")
  end

  it "shuts a name after eight wrong tries, known or not, for a quarter of an hour" do
    visit_page "/sign-in"
    ["maren@ward.example", "nobody"].each do |login|
      statuses = Array.new(9) { send_form("/sign-in", login:, password: "wrong again").status }
      expect(statuses).to eq(([401] * 8) + [429])
    end
    expect(sign_in(:owner).status).to eq(429)
    expect(sign_in(:second).status).to eq(302)
    context.directory.accounts.db[:tries].update(last_at: context.minutes_ago(16))
    expect(sign_in(:owner).status).to eq(302)
  end

  it "takes no form without the token of its page, no old cookie after signing out, and no borrowed one" do
    visit_page "/sign-in"
    expect(send_form("/sign-in", token: nil, login: "maren@ward.example",
                                 password: Ward::WORD).status).to eq(403)
    expect(send_form("/sign-in", token: "x" * 88, login: "maren@ward.example",
                                 password: Ward::WORD).status).to eq(403)
    sign_in(:owner)
    visit_page("/account")
    old = rack_mock_session.cookie_jar["hobrin"]
    expect(with({ "hobrin" => old })).to be(true)
    send_form("/sign-out")
    [old, old.reverse, "#{old[0..-3]}aa", "x"].each do |cookie|
      expect([with({ "hobrin" => cookie }), last_response.headers["location"]]).to match([false, /sign-in\z/])
    end
  end

  it "gives a new password once, by a letter, and to nobody else" do
    letters = %w[maren@ward.example nobody@ward.example].map do |login|
      clear_cookies
      visit_page "/forgotten"
      expect(checks { send_form("/forgotten", login:) }).to eq(1)
      expect(last_response.headers["location"]).to end_with("/sign-in")
      visit_page("/sign-in")
      told
    end
    outbox.wait
    expect(letters.uniq.size).to eq(1)
    expect(outbox.letters.map(&:to)).to eq(["maren@ward.example"])
    address = URI(outbox.letters.first.text[/http\S+/]).request_uri
    expect(visit_page(address.sub(/.$/, "")).headers["location"]).to eq("/new-password")
    expect(visit_page("/new-password").headers["location"]).to eq("/sign-in")
    visit_page(address)
    visit_page("/new-password")
    { "short" => /at least 10/, "password12" => /Thousands/, "Maren Vendrillon" => /Your name/,
      "aaaaaaaaaaaa" => /different letters/ }.each do |word, message|
      expect(send_form("/new-password", password: word, "password-confirm": word).status).to eq(422)
      expect(told).to include(message)
    end
    send_form("/new-password", password: "the moon is out tonight",
                               "password-confirm": "the moon is out tonight")
    expect(sign_in(:owner).status).to eq(401)
    expect(sign_in(:owner, password: "the moon is out tonight").status).to eq(302)
    clear_cookies
    visit_page(address)
    expect(visit_page("/new-password").headers["location"]).to eq("/sign-in")
  end

  it "asks for a second step where somebody put one on, and takes each spare code once" do
    sign_in(:owner)
    visit_page("/account")
    key, sent = secret
    expect(send_form("/account/second-step", **sent, password: Ward::WORD,
                                                     otp: "000000").status).to eq(401)
    send_form("/account/second-step", **sent, password: Ward::WORD, otp: ROTP::TOTP.new(key).now)
    expect(last_response.headers["location"]).to eq("/account/recovery-codes")
    visit_page("/account/recovery-codes")
    send_form("/account/recovery-codes", password: Ward::WORD)
    codes = codes_shown
    expect(codes.size).to eq(16)
    sign_in(:owner)
    expect(visit_page("/inquiries/1/ask").headers["location"]).to end_with("/second-step")
    visit_page("/second-step")
    expect([send_form("/second-step", otp: "123456").status,
            told]).to match([401, [/not the code/]])
    expect(visit_page("/inquiries/1/ask").headers["location"]).to end_with("/second-step")
    2.times do |turn|
      sign_in(:owner)
      visit_page("/recovery-code")
      send_form("/recovery-code", "recovery-code": codes.first)
      expect(visit_page("/inquiries/1/ask").status).to eq(turn.zero? ? 200 : 303)
    end
  end

  # What a browser holds after signing in, and wanting to stay signed in.
  def staying
    clear_cookies
    visit_page("/sign-in")
    send_form("/sign-in", login: Ward::PEOPLE[:owner][1], password: Ward::WORD, remember: "yes")
    visit_page("/account")
    jar = rack_mock_session.cookie_jar
    jar.to_hash.keys.to_h { |name| [name, jar[name]] }
  end

  def with(cookies, *left_out)
    clear_cookies
    cookies.except(*left_out).each { |name, value| set_cookie("#{name}=#{Rack::Utils.escape(value)}") }
    visit_page("/account")
    last_response.status == 200
  end

  it "signs out at one other place or at all, and who stayed signed in there has to sign in again" do
    first, second, third = Array.new(3) { staying }
    remembered = first.keys - ["hobrin"]
    expect(remembered.size).to eq(1)
    expect([with(first, "hobrin"), with(first, *remembered), with(second, *remembered)]).to all(be(true))
    others = Nokogiri::HTML(visit_page("/account").body).css(".session-list input[name=session]")
    here = context.directory.accounts.sessions(people[:owner]).map(&:name) - others.map { |one| one["value"] }
    expect([others.size, here.size]).to eq([3, 1])
    with(third)
    send_form("/account/sessions", session: "none of them")
    send_form("/account/sessions", session: here.first)
    kept = [first, second, third].map { |cookies| with(cookies, *remembered) }
    expect([kept, with(first, "hobrin")]).to eq([[true, false, true], false])
    with(third, *remembered)
    send_form("/account/sessions")
    expect([with(first), with(third, *remembered)]).to eq([false, true])
  end

  it "joins who was asked, once, within two weeks" do
    token = Hobrin::Services::InvitePerson.new(context.as(person(:runs)))
                                          .call(name: "Jonna Brisk", ward_id: wards[:first].id, role: :member)
    expect(visit_page("/invitations/#{token.reverse}").status).to eq(404)
    visit_page("/invitations/#{token}")
    send_form("/invitations/#{token}", name: "Maren  Vendrillon", login: "maren@ward.example",
                                       password: "x")
    expect([last_response.status, told.size]).to eq([422, 2])
    sent = { name: "Jonna Brisk", login: "jonna", password: "one more quiet night" }
    expect(send_form("/invitations/#{token}", **sent).status).to eq(303)
    expect(send_form("/invitations/#{token}", **sent).status).to eq(404)
    visit_page("/sign-in")
    send_form("/sign-in", login: "JONNA ", password: "one more quiet night")
    expect(visit_page("/inquiries/1/ask").status).to eq(200)
    late = context.minutes_ago(-15 * 1_440)
    expect { context.directory.invitations.find(token, at: late) }.to raise_error(Hobrin::GoneError)
  end

  it "writes down who came and went, so that a line that is altered or missing is found" do
    sign_in(:owner)
    sign_in(:second, password: "wrong here")
    sign_in(:reader)
    visit_page("/inquiries/1/ask")
    send_form("/inquiries/1/ask")
    visit_page("/inquiries/1/list.ris")
    sign_in(:owner)
    visit_page("/inquiries/1/ask")
    send_form("/inquiries/1/delete")
    audit = context.directory.audit
    expect(audit.last(12).map { |line| [line.who, line.what] })
      .to include(["Maren Vendrillon", "signed in"], ["oskar@ward.example", "wrong password"],
                  ["Levi Omstead", "refused"], ["Levi Omstead", "took out"], ["Maren Vendrillon", "deleted"])
    expect(audit.broken_at).to be_nil
    lines = context.directory.accounts.db[:audit]
    lines.where(number: 2).update(who: "Somebody else")
    expect(audit.broken_at).to eq(2)
    lines.where(number: 2).delete
    expect(audit.broken_at).to eq(3)
  end

  it "says of who may sign in no more what it says of nobody, and ends what is open" do
    sign_in(:reader)
    expect(visit_page("/inquiries/1/ask").status).to eq(200)
    Hobrin::Services::ChangePeople.new(context.as(person(:runs))).close(people[:reader])
    expect(visit_page("/inquiries/1/ask").headers["location"]).to end_with("/sign-in")
    expect([sign_in(:reader).status,
            told]).to eq([401, ["That name and that password do not go together."]])
    expect { Hobrin::Services::ChangePeople.new(context).let_run(people[:runs], false) }
      .to raise_error(Hobrin::InputError, /Nobody else/)
  end
end
