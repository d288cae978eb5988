# frozen_string_literal: true

# Signing in by requests alone: what goes wrong, and what somebody tries who should not be here.
require "argon2"

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
    expect(said.uniq).to match([[401, ["Wrong user name or password."],
                                 Integer]])
    expect(sign_in(:owner).headers["location"]).to eq("/")
    expect(visit_page("/").body).to include("Maren Vendrillon", "Sign out")
  end

  def guess(login, times = 1) = Array.new(times) { send_form("/sign-in", login:, password: "wrong again").status }
  def from(sender) = env("REMOTE_ADDR", sender)

  it "shuts a name from one place after eight wrong tries, known or not, for a quarter of an hour" do
    visit_page "/sign-in"
    ["maren@ward.example", "nobody"].each do |login|
      expect(guess(login, 9)).to eq(([401] * 8) + [429])
    end
    expect([sign_in(:owner).status, checks { sign_in(:owner) }]).to eq([429, 0])
    expect(sign_in(:second).status).to eq(302)
    context.directory.accounts.db[:tries].update(last_at: context.clock.minutes_ago(16))
    expect(sign_in(:owner).status).to eq(302)
  end

  it "keeps strangers out wherever they come from, and not the person whose name they try" do
    from("203.0.113.1")
    sign_in(:owner)
    known = rack_mock_session.cookie_jar["hobrin_known"]
    forged = known.sub(/.\z/) { |last| last == "0" ? "1" : "0" }
    # What a wrong password costs is of no interest here.
    allow(Argon2::Password).to receive(:verify_password).and_return(false)
    # One sender, many names; then many senders, one name.
    clear_cookies
    from("203.0.113.2")
    visit_page "/sign-in"
    expect(Array.new(41) { |place| guess("name#{place}") }.flatten).to eq(([401] * 40) + [429])
    60.times do |place|
      from("198.51.100.#{place}")
      guess("maren@ward.example")
    end
    from("203.0.113.3")
    clear_cookies
    visit_page "/sign-in"
    expect(guess("maren@ward.example")).to eq([429])
    allow(Argon2::Password).to receive(:verify_password).and_call_original
    as_known = lambda do |cookie|
      clear_cookies
      set_cookie("hobrin_known=#{cookie}")
      visit_page "/sign-in"
      send_form("/sign-in", login: "maren@ward.example", password: Ward::WORD).status
    end
    expect([as_known[forged], as_known["x"], as_known[known]]).to eq([429, 429, 302])
    expect(sign_in(:owner).status).to eq(429)
    Hobrin::Services::SignIn::RenewPassword.new(context).call("maren@ward.example", "the moon is out tonight")
    from("203.0.113.4")
    expect(sign_in(:owner, password: "the moon is out tonight").status).to eq(302)
  end

  it "counts and writes down wrong passwords and codes wherever they are asked for" do
    sign_in(:owner)
    visit_page("/account")
    wrong = { password: "wrong again", "new-password": "the moon is out tonight", "password-confirm": "the moon is out tonight" }
    key, sent = secret
    7.times { expect(send_form("/account/password", **wrong).status).to eq(401) }
    send_form("/account/second-step", **sent, password: Ward::WORD, otp: "000000")
    expect(checks { send_form("/account/password", **wrong) }).to eq(0)
    expect(visit_page("/account/password").body).to include("Too many attempts")
    expect(context.directory.audit.last(9).map(&:what).tally).to include("wrong password" => 7, "wrong code" => 1)
    context.directory.accounts.db[:tries].delete
    send_form("/account/second-step", **sent, password: Ward::WORD, otp: ROTP::TOTP.new(key).now)
    sign_in(:owner)
    visit_page("/recovery-code")
    8.times { send_form("/recovery-code", "recovery-code": "none of them") }
    expect(send_form("/recovery-code", "recovery-code": "none of them").status).to eq(302)
    expect(context.directory.audit.last(8).map(&:what).uniq).to eq(["wrong backup code"])
  end

  it "opens nothing with what is left of a session that was signed out, and forgets that it stayed signed in" do
    before = staying
    send_form("/sign-out")
    remembered = before.keys - %w[hobrin hobrin_known]
    expect([with(before, "hobrin"), with(before, *remembered), with(before)]).to eq([false, false, false])
    clear_cookies
    set_cookie("hobrin=#{Rack::Utils.escape(before["hobrin"])}")
    %w[/account/password /account/second-step /account/second-step/off /account/recovery-codes].each do |path|
      expect([path, visit_page(path).status, last_response.headers["location"]]).to match([path, 302, %r{/sign-in\z}])
      set_cookie("hobrin=#{Rack::Utils.escape(before["hobrin"])}")
    end
  end

  it "hashes two passwords at once at most, and as dearly for nobody as for somebody" do
    at_once, most, lock = 0, 0, Mutex.new
    allow(Argon2::Engine).to receive(:hash_argon2id_encode).and_wrap_original do |hash, *given|
      lock.synchronize { most = [most, at_once += 1].max }
      hash.call(*given).tap { lock.synchronize { at_once -= 1 } }
    end
    Array.new(6) { Thread.new { Hobrin::Services::SignIn::Passwords.digest("a quiet night") } }.each(&:join)
    expect(most).to eq(2)
    cost = ->(hash) { hash[/m=\d+,t=\d+,p=\d+/] }
    expect(cost[Hobrin::Services::SignIn::Passwords.nobodys]).to eq(cost[Ward.digest])
  end

  it "answers what cannot be read in words, on every page of signing in" do
    sign_in(:owner)
    _, sent = secret
    send_form("/account/second-step", **sent, password: Ward::WORD, otp: ROTP::TOTP.new(secret.first).now)
    pages = %w[/sign-in /forgotten /new-password /second-step /second-steps /recovery-code /sign-out /be/1 /account/password
               /account/second-step /account/second-step/off /account/recovery-codes /account/sessions /invitations/none]
    bad = ["login=%FF&password=%C3%28", "login=a%00b&password=x", "%FF=1", "password[]=x&login[]=y", "otp[a]=1",
           "key=%00", "login=#{"x" * 5_000}"]
    asked = [nil, :owner].flat_map do |key|
      key ? sign_in(key) : clear_cookies
      pages.flat_map do |page|
        bad.flat_map do |query|
          [get("#{page}?#{query}"), (post page, "#{query}&authenticity_token=#{Rack::Utils.escape(@token)}")]
            .map { |response| [page, query, response.status] }
        end
      end
    end
    expect(asked.select { |_, _, status| status >= 500 }).to eq([])
    expect(asked.count { |_, query, status| query.include?("%FF") && status == 400 }).to be > 40
  end

  it "says what is wrong where a proxy does not say that a request was encrypted, and asks for encryption after" do
    people
    @app = Hobrin::Server.app(context, home:, env: { "HOBRIN_ORIGIN" => "https://127.0.0.1" },
                                       shared: { required: true, post: outbox })
    expect([visit_page("/sign-in").status, last_response.body]).to match([421, /X-Forwarded-Proto: https/])
    expect(visit_page("/health").status).to eq(200)
    expect([visit_page("https://127.0.0.1/sign-in").status, last_response.headers["strict-transport-security"]])
      .to eq([200, "max-age=31536000"])
    send_form("https://127.0.0.1/sign-in", login: "maren@ward.example", password: Ward::WORD, remember: "yes")
    cookies = Array(last_response.headers["set-cookie"]).flat_map { |one| one.split("\n") }
    expect(cookies.size).to eq(3)
    expect(cookies).to all(match(/secure/i).and(match(/httponly/i)).and(match(/samesite=lax/i)))
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
    { "short" => /at least 10/, "password12" => /too common/, "Maren Vendrillon" => /your name/,
      "aaaaaaaaaaaa" => /different characters/ }.each do |word, message|
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

  it "asks for a second step where somebody put one on, and takes each backup code once" do
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
            told]).to match([401, [/expired code/]])
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
    remembered = first.keys - %w[hobrin hobrin_known]
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
    token = Hobrin::Services::Accounts::Invite.new(context.as(person(:runs)))
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
    five = Hobrin::Services::Accounts::Invite.new(context).call(name: "Five", ward_id: wards[:first].id, role: :member)
    outcomes = Array.new(5) do |place|
      Thread.new do
        Hobrin::Services::Accounts::Invite.new(context).take_up(five, name: "Five #{place}", login: "five#{place}",
                                                                      password: "one more quiet night")
      rescue Hobrin::GoneError then nil
      end
    end
    expect(outcomes.map(&:value).compact.size).to eq(1)
    sign_in(:runs)
    revoked = Hobrin::Services::Accounts::Invite.new(context).call(name: "Nobody", ward_id: wards[:first].id, role: :member)
    visit_page("/people")
    send_form("/people/invitations/#{context.directory.invitations.waiting(at: context.clock.now).first.id}")
    expect(visit_page("/invitations/#{revoked}").status).to eq(404)
    late = context.clock.minutes_ago(-15 * 1_440)
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
    expect(audit.broken_anywhere(today: context.clock.now)).to eq(2)
    lines.where(number: 2).delete
    expect(audit.broken_anywhere(today: context.clock.now)).to eq(3)
  end

  it "passes what somebody owned to the ward when they leave it, and tells the ward when an administrator joins" do
    sign_in(:runs)
    visit_page("/people")
    send_form("/people/#{people[:owner]}", do: "put", ward: wards[:first].id, role: "")
    expect(visit_page("/people").body).to include("1 inquiry has no owner on Ward 4")
    sign_in(:owner)
    expect(visit_page("/inquiries/1/ask").status).to eq(404)
    sign_in(:librarian)
    expect(visit_page("/inquiries/1/people").body).to include("Ward 4 owns it")
    sign_in(:second)
    expect([visit_page("/inquiries/1/people").status, visit_page("/").body.include?("administers")]).to eq([403, false])
    sign_in(:runs)
    visit_page("/people")
    expect(send_form("/people/wards/#{wards[:first].id}", person: people[:stranger]).status).to eq(422)
    send_form("/people/wards/#{wards[:first].id}", person: people[:second])
    send_form("/people/#{people[:runs]}", do: "put", ward: wards[:first].id, role: "librarian")
    expect(context.standings.of(1).owner_id).to eq(people[:second])
    sign_in(:second)
    expect(visit_page("/").body).to include("Runa Ostel, who administers Hobrin, became a librarian of Ward 4")
    expect(visit_page("/inquiries/1/people").status).to eq(200)
    sign_in(:stranger)
    expect(visit_page("/").body).not_to include("administers")
  end

  it "says of who may sign in no more what it says of nobody, and ends what is open" do
    sign_in(:reader)
    expect(visit_page("/inquiries/1/ask").status).to eq(200)
    Hobrin::Services::Accounts::Change.new(context.as(person(:runs))).close(people[:reader])
    expect(visit_page("/inquiries/1/ask").headers["location"]).to end_with("/sign-in")
    expect([sign_in(:reader).status,
            told]).to eq([401, ["Wrong user name or password."]])
    expect { Hobrin::Services::Accounts::Change.new(context).let_run(people[:runs], false) }
      .to raise_error(Hobrin::InputError, /Nobody else/)
  end
end
