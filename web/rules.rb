# frozen_string_literal: true

require "mustermann"

module Hobrin
  module Web
    # Who may ask for what: one line for each address, and no other place that says it. An address
    # without a line is refused to everybody.
    #
    # open :: whoever comes; signed_in :: whoever signed in; catalogue :: other machines, where they
    # are let in; library :: who keeps the library; runs :: who runs this Hobrin
    # reads, second, works, owns :: of the inquiry in the address, as People::Standing has them
    module Rules
      TABLE = {
        open: ["GET /sign-in/page", "GET /shared/:token", "GET /inquiries/:id/feed/:token",
               "GET /invitations/:token", "POST /invitations/:token", "GET /outbox", "GET /health"],
        signed_in: ["GET /", "POST /inquiries", "POST /archives", "POST /taken-along", "GET /account", "GET /library",
                    "GET /library/doubles", "GET /library/imports/:id/refused.csv"],
        catalogue: ["GET /sru", "GET /oai"],
        library: ["POST /library/catalogues", "POST /library/catalogues/:id", "POST /library/files",
                  "POST /library/thesauri/:id", "POST /library/matches", "POST /library/doubles",
                  "POST /library/imports/:id", "POST /library/changes/:id", "POST /inquiries/:id/resolver",
                  "POST /inquiries/:id/records"],
        runs: ["GET /people", "POST /people", "POST /people/wards", "POST /people/wards/:id",
               "POST /people/invitations/:id", "POST /people/forget", "POST /people/:id",
               "GET /people/log.csv"],
        reads: ["GET /inquiries/:id", "POST /inquiries/:id/copy", "POST /inquiries/:id/notes",
                *%w[ask word offers narrow sift full-text list.:format weigh act files/:name
                    versions/:name archive.json evidence.:format trail since log.:format
                    differences sheets notes].map { |rest| "GET /inquiries/:id/#{rest}" }],
        second: %w[decisions several differences sheet sheets search-review].map { |rest| "POST /inquiries/:id/#{rest}" },
        works: %w[ask terms terms/:term blocks/:key limits limits/:name aim what-ifs must-find let-in
                  check elsewhere filter threads full-text weigh outcomes results findings
                  act deliberation measures steps signatures lines undo redo trail again
                  aside].map { |rest| "POST /inquiries/:id/#{rest}" },
        owns: ["GET /inquiries/:id/people",
               *%w[address feed delete back people twice forget].map { |rest| "POST /inquiries/:id/#{rest}" }]
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
        # rule.
        def of(verb, path) = found(verb, path)&.first(2)

        # The address as its rule has it, such as "/inquiries/:id/ask", or nil.
        def address(verb, path) = found(verb, path)&.last&.to_s

        private

        # The most exact address counts, which is the one with the fewest names in it.
        def found(verb, path)
          verb = "GET" if verb == "HEAD"
          all = PATTERNS.filter_map do |of, pattern, need|
            given = of == verb && pattern.params(path)
            [need, given, pattern] if given
          end
          all.min_by { |_, given| given.size }
        end
      end
    end
  end
end
