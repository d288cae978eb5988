# frozen_string_literal: true

module Hobrin
  module Store
    # Briefs as they were signed off, and the secret addresses of inquiries: that of the brief, and
    # that of the feed of new papers.
    class SharedBriefs < Base
      # token :: the secret part of the address; made_at :: ISO 8601; kind :: "brief" or "feed";
      #   ends_at :: when it ends by itself, or nil; used_at :: when it was opened last, or nil
      class Share < Value
        attributes :token, :inquiry_id, :made_at, :kind, :ends_at, :used_at
      end

      # How exactly it is written down when a link was opened last: not each look is a change.
      EXACT = 13
      private_constant :EXACT

      # Keeps the report that was signed at a line of the trail. One that was kept stays as it is.
      def keep(inquiry_id, line, report)
        Database::Trouble.told do
          @db[:signed_briefs].insert_ignore.insert(inquiry_id:, line:, report: JSON.generate(Exchange::Report::Plain.dump(report)))
        end
      end

      # The report signed at a line; nil where none was kept.
      def report(inquiry_id, line)
        text = @db[:signed_briefs].where(inquiry_id:, line:).get(:report)
        text && Exchange::Report::Plain.load(JSON.parse(text, symbolize_names: true))
      end

      # Opens an address. token :: random text; at :: ISO 8601; ends_at :: the same, nil for never
      def share(inquiry_id, token:, at:, kind: "brief", ends_at: nil)
        Database::Trouble.told { @db[:shares].insert(token:, inquiry_id:, made_at: at, kind:, ends_at:) }
      end

      # Writes down that a link was opened, once an hour, where that can be written. share :: Share
      def used(share, at:)
        return if share.used_at.to_s[0, EXACT] == at[0, EXACT]

        Database::Trouble.told { @db[:shares].where(token: share.token).update(used_at: at) }
      rescue UnavailableError
        nil
      end

      # Takes every address of a kind back. at :: ISO 8601
      def take_back(inquiry_id, at:, kind: "brief")
        Database::Trouble.told { @db[:shares].where(inquiry_id:, kind:, ended_at: nil).update(ended_at: at) }
      end

      # The address of an inquiry that holds at a time (ISO 8601), as a Share, or nil.
      def of(inquiry_id, at:, kind: "brief") = found(at, inquiry_id:, kind:)

      # The Share of a token that holds; nil for any other text.
      def find(token, at:, kind: "brief") = found(at, token:, kind:)

      private

      def found(at, **condition)
        holding = Sequel.expr(ends_at: nil) | (Sequel[:ends_at] > at)
        row = @db[:shares].where(**condition, ended_at: nil).where(holding).reverse(:made_at).first
        row && Share.new(**row.except(:ended_at))
      end
    end
  end
end
