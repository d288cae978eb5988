# frozen_string_literal: true

# Two wards with made-up people, and a Hobrin in which everybody must sign in. Needs a home.
module Ward
  WORD = "a quiet night please"
  PEOPLE = {
    owner: ["Maren Vendrillon", "maren@ward.example", :first, :member],
    second: ["Oskar Thimmel", "oskar@ward.example", :first, :member],
    librarian: ["Ines Quarrel", "ines@ward.example", :first, :librarian],
    reader: ["Levi Omstead", "levi@ward.example", :first, :member],
    stranger: ["Tove Askild", "tove@other.example", :other, :member],
    runs: ["Runa Ostel", "runa@ward.example", nil, :member]
  }.freeze

  # Hash of each key of PEOPLE to the id of the account. Every inquiry is the owner's; the second
  # reader reads the first. The password is hashed once for a run, since that is meant to take time.
  def people
    @people ||= PEOPLE.to_h { |key, (name, login, ward, role)| [key, somebody(key, name, login, ward, role)] }
                      .tap do |ids|
      context.standings.put_unowned(ward_id: wards[:first].id, owner_id: ids[:owner])
      context.standings.give(1, ids[:second], :second)
    end
  end

  def self.digest = @digest ||= Hobrin::Services::SignIn::Passwords.digest(WORD)

  def wards
    @wards ||= { first: "Ward 4", other: "Ward 7" }.transform_values do |name|
      context.directory.wards.named(name)
    end
  end

  def person(key) = context.directory.accounts.find(people.fetch(key))
  def outbox = @outbox ||= Hobrin::Outside::Post.new(folder: home.join("outbox"))

  def app
    people
    @app ||= Hobrin::Server.app(context, home:, shared: { required: true, post: outbox })
  end

  def sign_in(key, password: WORD)
    clear_cookies
    visit_page "/sign-in"
    send_form "/sign-in", login: PEOPLE.fetch(key)[1], password:
  end

  def somebody(key, name, login, ward, role)
    id = context.directory.accounts.add(name:, login:, hash: Ward.digest, at: context.clock.now, runs: key == :runs)
    context.directory.wards.put(wards.fetch(ward).id, id, role) if ward
    id
  end

  # What is told on a page, in words.
  def told
    page = Nokogiri::HTML(last_response.body)
    page.css(".problem, .alert-danger, .alert-warning").map { |one| one.text.strip }.reject(&:empty?)
  end
end
