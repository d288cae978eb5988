# frozen_string_literal: true

# Everything that one can look at, for what must be the same whatever another one did. Needs a client.
module EveryAddress
  ENDINGS = { ":format" => %w[csv ris json html md bib],
              ":name" => %w[brief.md brief.html brief.fhir.json ward.pdf findings.csv papers.csv 1.md],
              ":token" => ["f" * 40] }.freeze
  # What else can be asked of a step.
  ASKED = { "/inquiries/:id/sift" => %w[paper=p0 paper=p1 order=likeliest part=keep part=drop part=unread
                                        show=threads group=year find=sleep],
            "/inquiries/:id/weigh" => %w[paper=p0 paper=p1 show=table paper=p0&numbers=yes],
            "/inquiries/:id/act" => %w[show=versions show=whole], "/inquiries/:id/since" => ["seen=1"] }.freeze

  def every_address
    routes = Hobrin::Web::App.routes["GET"].map { |pattern, *| pattern.to_s }
    routes.grep(%r{\A/(?!sign-in/page|sru|oai|account)}).flat_map { |pattern| addresses(pattern) }
  end

  # Hash of each address to [status, what it says], without what differs from one request to the next.
  def everything_seen
    every_address.to_h do |path|
      body = visit_page(path).body
      plain = body.gsub(/(?:value|content|hx-headers)=(?:"[^"]{80,}"|'[^']*')/, "").gsub(%r{/ID ?\[.*?\]}m, "")
      [path, [last_response.status, path.end_with?(".pdf") ? body.bytesize : plain]]
    end
  end

  private

  # Every address that a pattern stands for, with what can be asked there.
  def addresses(pattern)
    filled = ENDINGS.reduce([pattern.gsub(":id", "1")]) do |all, (name, values)|
      all.flat_map { |path| path.include?(name) ? values.map { |value| path.sub(name, value) } : [path] }
    end
    filled + ASKED.fetch(pattern, []).map { |query| "#{pattern.sub(":id", "1")}?#{query}" }
  end
end
