# frozen_string_literal: true

# Who may ask for what: every address, as everybody and as nobody.
RSpec.describe "Rules", :client do
  include SmallWard
  include Ward

  routes = Hobrin::Web::App.routes.slice("GET", "POST").flat_map do |verb, all|
    all.map { |pattern, *| "#{verb} #{pattern}" }
  end

  # What each need allows: the owner, a second reader, a librarian of the ward, a reader of the
  # ward, somebody of another ward, who runs Hobrin.
  may = {
    open: %i[owner second librarian reader stranger runs nobody],
    signed_in: %i[owner second librarian reader stranger runs],
    catalogue: %i[owner second librarian reader stranger runs],
    library: %i[librarian runs], runs: %i[runs],
    reads: %i[owner second librarian reader], second: %i[owner second librarian],
    works: %i[owner librarian], owns: %i[owner]
  }

  it "has a rule for every route, and a route for every rule" do
    expect(Hobrin::Web::Rules.addresses).to match_array(routes)
    expect(Hobrin::Web::Rules.addresses.uniq.size).to eq(routes.size)
    expect(Hobrin::Web::Rules.of("GET", "/inquiries/1/something-new")).to be_nil
  end

  def path_of(pattern)
    { ":id" => "1", ":term" => "1", ":key" => "P", ":name" => "age", ":format" => "csv",
      ":token" => "none" }
      .reduce(pattern) do |path, (name, value)|
      path.gsub(name, value)
    end
  end

  def asked(route) = route.split(" ", 2).then { |verb, path| [verb, path_of(path)] }

  # :in, :refused, :hidden (as if it were not there), :sign_in
  def outcome(verb, path)
    verb == "GET" ? visit_page(path) : send_form(path)
    expect([verb, path, last_response.status]).to match([verb, path, be < 500])
    return :sign_in if last_response.status == 303 && last_response.headers["location"].end_with?("/sign-in")
    return :refused if last_response.status == 403 && last_response.body.include?("You do not have permission")
    return :hidden if last_response.status == 404 && last_response.body.include?("This inquiry is not here.")

    :in
  end

  it "lets in whom it should, refuses the others, and tells strangers nothing" do
    skipped = ["GET /sign-in/page", "POST /inquiries/:id/delete", "POST /library/files"]
    (routes - skipped).each do |route|
      verb, pattern = route.split(" ", 2)
      need, = Hobrin::Web::Rules.of(verb, path_of(pattern))
      Ward::PEOPLE.each_key do |key|
        # The rule alone: what a route does with what is sent is another matter.
        permit = Hobrin::Services::Permit.new(context.as(person(key)))
        said = begin
          case need
          when :open, :signed_in, :catalogue then :in
          when :library then permit.library
          when :runs then permit.runs
          else permit.inquiry(need, 1)
          end && :in
        rescue Hobrin::RefusedError then :refused
        rescue Hobrin::GoneError then :hidden
        end || :in
        hidden = %i[stranger runs].include?(key) && %i[reads second works owns].include?(need)
        wanted = hidden ? :hidden : :refused
        wanted = :in if may.fetch(need).include?(key)
        expect([route, key, said]).to eq([route, key, wanted])
      end
    end
  end

  it "walks them over the web, as nobody, as a stranger and as a reader" do
    visit_page "/sign-in"
    walkable = routes.grep_v(%r{POST /library/files|/sign-in/page})
    walked = %i[nobody stranger reader].to_h do |key|
      key == :nobody ? clear_cookies : sign_in(key)
      visit_page(key == :nobody ? "/sign-in" : "/")
      [key, walkable.to_h { |route| [route, outcome(*asked(route))] }]
    end
    need = ->(route) { Hobrin::Web::Rules.of(*asked(route)).first }
    walked.each do |key, outcomes|
      outcomes.each do |route, said|
        next if need[route] == :open

        wanted = if key == :nobody then :sign_in
                 elsif may.fetch(need[route]).include?(key) then :in
                 elsif key == :stranger && %i[reads second works
                                              owns].include?(need[route]) then :hidden
                 else :refused
                 end
        expect([key, route, said]).to eq([key, route, wanted])
      end
    end
  end

  it "answers the same for an inquiry of another ward as for one that is not there" do
    sign_in(:stranger)
    bodies = %w[1 99 0 999999999999].map do |id|
      visit_page("/inquiries/#{id}/sift")
      [last_response.status,
       last_response.body.gsub(/authenticity_token[^>]*>|X-CSRF-Token[^']*/, "")]
    end
    expect(bodies.uniq.size).to eq(1)
    expect(visit_page("/").body).not_to include("inquiries/1")
    expect(sign_in(:owner).status).to eq(302)
    expect(visit_page("/").body).to include("inquiries/1")
  end

  it "shows who only reads everything and lets them change nothing" do
    sign_in(:reader)
    page = Nokogiri::HTML(visit_page("/inquiries/1/word").body)
    forms = page.css("main form[method=post]")
    expect(forms.size).to be > 1
    expect(forms.reject { |form| form.at_css("fieldset[disabled]") }).to eq([])
    sign_in(:owner)
    expect(visit_page("/inquiries/1/word").body).not_to include("fieldset disabled")
  end
end
