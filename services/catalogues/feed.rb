# frozen_string_literal: true

require "securerandom"
require "uri"

module Hobrin
  module Services
    module Catalogues
      # New papers of an inquiry as an Atom feed (RFC 4287), by a secret address that can be taken
      # back.
      class Feed < Service
        KIND = "feed"
        BYTES = 32
        MOST = 50
        TYPE = "application/atom+xml"
        private_constant :KIND, :BYTES

        def initialize(context)
          super
          @shares = context.shared_briefs
        end

        # The secret part of the address, nil while there is none.
        def token(id) = share(id)&.token

        # The same as Store::SharedBriefs::Share.
        def share(id) = @shares.of(id, at: @context.clock.now, kind: KIND)

        # Makes a new one; the one before leads nowhere from then on. days :: until it ends by itself, one
        #   of ShareBrief::DAYS. Raises GoneError.
        def open(id, days: nil)
          @context.inquiries.find(id)
          take_back(id)
          @shares.share(id, token: SecureRandom.urlsafe_base64(BYTES), at: @context.clock.now, kind: KIND,
                            ends_at: Act::ShareBrief.end_of(@context, days))
        end

        def take_back(id) = @shares.take_back(id, at: @context.clock.now, kind: KIND)

        # address :: of the feed; home :: of this Hobrin. Gives a Download. Raises GoneError.
        def call(id, token, address:, home:)
          share = @shares.find(token.to_s, at: @context.clock.now, kind: KIND)
          raise GoneError, "feed" unless share&.inquiry_id == id

          @shares.used(share, at: @context.clock.now)

          saved = @context.inquiries.find(id)
          papers = latest(Inquiries::Open.new(@context, saved).cascade.final)
          Download.new(name: "hobrin-#{id}.atom", type: TYPE,
                       body: feed(saved, papers, address, home))
        end

        private

        def x = Exchange::Xml

        # The records of a set that came in last, each with the time at which it did.
        def latest(set)
          numbers = set.to_a.last(MOST).reverse
          times = @context.library.harvest.times(numbers)
          @context.library.numbered_all(numbers).zip(numbers).map do |record, number|
            [record, times.fetch(number)]
          end
        end

        def feed(saved, papers, address, home)
          sample = @context.snapshot.sample?
          entries = papers.map { |record, at| entry(record, at, saved.id, home) }
          head = [x.value("id", address), x.value("title",
                                                  Book.t("errors.catalogues.feed_title", question: saved.inquiry.question.text)),
                  x.value("updated", papers.map(&:last).max || saved.touched_at),
                  x.tag("author", x.value("name", "Hobrin")),
                  x.tag("link", "", rel: "self", href: address), *(x.value("subtitle", Exchange::SAMPLE_NOTE) if sample)]
          "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n#{x.tag("feed", (head + entries).join,
                                                               xmlns: "http://www.w3.org/2005/Atom")}"
        end

        def entry(record, at, id, home)
          link = "#{home}/inquiries/#{id}/sift?#{URI.encode_www_form(paper: record.id)}"
          authors = record.authors.first(20).map do |author|
            x.tag("author", x.value("name", author.short))
          end
          x.tag("entry", [x.value("id", "urn:hobrin:#{URI.encode_www_form_component(record.id)}"),
                          x.value("title", record.title),
                          x.value("updated", at), *authors, x.tag("link", "", rel: "alternate",
                                                                              href: link),
                          x.value("summary", record.abstract)].join)
        end
      end
    end
  end
end
