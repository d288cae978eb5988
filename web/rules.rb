# frozen_string_literal: true

require "mustermann"

module Hobrin
  module Web
    # Who may ask for what: one line for each address, and no other place that says it. An address
    # without a line is refused to everybody.
    #
    # open :: whoever comes; signed_in :: whoever signed in; reads, second, works, owns :: of the
    # inquiry in the address, as People::Standing has them; library :: who keeps the library; runs ::
    # who runs this Hobrin; catalogue :: other machines, where they are let in
    module Rules
      TABLE = {
        open: ["GET /sign-in/page", "GET /shared/:token", "GET /inquiries/:id/feed/:token", "GET /health",
               "GET /invitations/:token", "POST /invitations/:token", "GET /outbox"],
        signed_in: ["GET /", "POST /inquiries", "POST /archives", "GET /library", "GET /library/doubles",
                    "GET /library/imports/:id/refused.csv", "GET /account"],
        catalogue: ["GET /sru", "GET /oai"],
        library: ["POST /library/catalogues", "POST /library/catalogues/:id", "POST /library/thesauri/:id",
                  "POST /library/matches", "POST /library/doubles", "POST /library/files",
                  "POST /library/imports/:id"],
        runs: ["GET /people", "POST /people", "POST /people/wards", "POST /people/:id", "GET /people/log.csv"],
        reads: ["GET /inquiries/:id", "GET /inquiries/:id/ask", "GET /inquiries/:id/word", "GET /inquiries/:id/offers",
                "GET /inquiries/:id/narrow", "GET /inquiries/:id/sift", "GET /inquiries/:id/full-text",
                "GET /inquiries/:id/list.:format", "GET /inquiries/:id/weigh", "GET /inquiries/:id/act",
                "GET /inquiries/:id/files/:name", "GET /inquiries/:id/versions/:name",
                "GET /inquiries/:id/archive.json", "GET /inquiries/:id/evidence.:format", "GET /inquiries/:id/trail",
                "GET /inquiries/:id/since", "GET /inquiries/:id/differences", "GET /inquiries/:id/log.:format", "POST /inquiries/:id/copy"],
        second: ["POST /inquiries/:id/decisions", "POST /inquiries/:id/several", "POST /inquiries/:id/differences"],
        works: ["POST /inquiries/:id/ask", "POST /inquiries/:id/terms", "POST /inquiries/:id/terms/:term",
                "POST /inquiries/:id/blocks/:key", "POST /inquiries/:id/limits", "POST /inquiries/:id/limits/:name",
                "POST /inquiries/:id/aim", "POST /inquiries/:id/what-ifs", "POST /inquiries/:id/must-find",
                "POST /inquiries/:id/let-in", "POST /inquiries/:id/check", "POST /inquiries/:id/elsewhere",
                "POST /inquiries/:id/filter", "POST /inquiries/:id/threads", "POST /inquiries/:id/full-text", "POST /inquiries/:id/resolver",
                "POST /inquiries/:id/weigh", "POST /inquiries/:id/outcomes", "POST /inquiries/:id/results",
                "POST /inquiries/:id/findings", "POST /inquiries/:id/act", "POST /inquiries/:id/deliberation",
                "POST /inquiries/:id/measures", "POST /inquiries/:id/steps", "POST /inquiries/:id/signatures",
                "POST /inquiries/:id/lines", "POST /inquiries/:id/undo", "POST /inquiries/:id/redo",
                "POST /inquiries/:id/trail", "POST /inquiries/:id/again", "POST /inquiries/:id/aside"],
        owns: ["POST /inquiries/:id/address", "POST /inquiries/:id/feed", "POST /inquiries/:id/delete",
               "POST /inquiries/:id/back", "GET /inquiries/:id/people", "POST /inquiries/:id/people",
               "POST /inquiries/:id/twice"]
      }.freeze

      # Each address as a pattern, with what it needs.
      PATTERNS = TABLE.flat_map do |need, addresses|
        addresses.map do |address|
          verb, path = address.split(" ", 2)
          [verb, Mustermann.new(path, type: :sinatra), need]
        end
      end.freeze
      private_constant :PATTERNS

      class << self
        # Array of "VERB /path", of all addresses that have a rule.
        def addresses = TABLE.values.flatten

        # What a request needs: [need, Hash of what stands in the address], or nil where there is no
        # rule. The most exact address counts, which is the one with the fewest names in it.
        def of(verb, path)
          verb = "GET" if verb == "HEAD"
          found = PATTERNS.filter_map do |of, pattern, need|
            given = of == verb && pattern.params(path)
            [need, given] if given
          end
          found.min_by { |_, given| given.size }
        end
      end
    end
  end
end
