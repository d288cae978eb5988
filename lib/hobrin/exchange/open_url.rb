# frozen_string_literal: true

require "uri"

module Hobrin
  module Exchange
    # A link to a paper through the link resolver of a library: an OpenURL of ANSI/NISO Z39.88-2004,
    # with the keys of its journal format (info:ofi/fmt:kev:mtx:journal; from memory).
    module OpenUrl
      LONGEST = FieldLengths.of(:resolver)
      NO_ADDRESS = Book.t("exports.entry.resolver")
      private_constant :LONGEST, :NO_ADDRESS

      class << self
        # The address of a resolver as it may be kept. typed :: what a person wrote, "" for none.
        # Raises InputError (:resolver) for what is no address of a web page.
        def base(typed)
          return "" if typed.strip.empty?

          address = URI.parse(typed.strip)
          whole = address.is_a?(URI::HTTP) && address.host.to_s.match?(/\A[\w.-]+\.\w+\z/) && address.userinfo.nil?
          refuse unless whole && typed.size <= LONGEST && address.fragment.nil?
          address.to_s
        rescue URI::InvalidURIError
          refuse
        end

        # base :: as `base` gave it; record :: Records::Record. Gives an address.
        def of(base, record)
          "#{base}#{base.include?("?") ? "&" : "?"}#{URI.encode_www_form(keys(record).compact)}"
        end

        private

        def keys(record)
          first, last = record.pages.to_s.split("-", 2)
          author = record.authors.first
          { "url_ver" => "Z39.88-2004", "ctx_ver" => "Z39.88-2004", "rft_val_fmt" => "info:ofi/fmt:kev:mtx:journal",
            "rft.genre" => "article", "rft.atitle" => record.title, "rft.jtitle" => record.journal,
            "rft.date" => record.published, "rft.volume" => record.volume,
            "rft.issue" => record.issue, "rft.spage" => first,
            "rft.epage" => last, "rft.aulast" => author&.family, "rft.aufirst" => author&.given,
            "rft_id" => record.doi && "info:doi/#{record.doi}" }
        end

        def refuse
          raise InputError, { resolver: NO_ADDRESS }
        end
      end
    end
  end
end
