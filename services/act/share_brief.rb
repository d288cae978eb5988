# frozen_string_literal: true

require "securerandom"

module Hobrin
  module Services
    # A read-only address of a brief: opened, taken back, and read by whoever has it.
    class ShareBrief
      # 256 bits: nobody guesses it.
      BYTES = 32
      # After so many days an address may end by itself.
      DAYS = [7, 30, 90, 365].freeze
      TOKEN = /\A[\w-]{43}\z/
      private_constant :BYTES, :TOKEN

      # What somebody with the address reads. report :: Exchange::Report; version :: number of the
      #   signed version, nil while none is signed; newer :: whether work went on since
      class Shared < Value
        attributes :report, :version, :newer
      end

      def initialize(context)
        @context = context
      end

      # Opens an address, in place of any that there was. days :: until it ends by itself, one of
      #   DAYS. Raises GoneError.
      def open(id, days: nil)
        @context.inquiries.find(id)
        take_back(id)
        @context.shared_briefs.share(id, token: SecureRandom.urlsafe_base64(BYTES),
                                         at: @context.now, ends_at: ShareBrief.end_of(@context, days))
      end

      def take_back(id) = @context.shared_briefs.take_back(id, at: @context.now)

      # The address of an inquiry as Store::SharedBriefs::Share, nil where there is none.
      def share(id) = @context.shared_briefs.of(id, at: @context.now)
      def token(id) = share(id)&.token

      # When an address ends that lasts so many days, one of DAYS; nil for never.
      def self.end_of(context, days) = (context.days_ago(-days) if DAYS.include?(days))

      # The last signed version, or the brief as it stands while none is signed. Gives a Shared.
      # Raises GoneError for a token that does not hold: it does not say why.
      def read(token)
        opened = opened(token)
        signed = opened.inquiry.acting.signed
        versions = ReadVersions.new(@context)
        return Shared.new(report: versions.now(opened), version: nil, newer: false) if signed.empty?

        Shared.new(report: versions.report(opened, signed.size), version: signed.size,
                   newer: opened.version > signed.last.line)
      end

      private

      def opened(token)
        share = token.to_s.match?(TOKEN) && @context.shared_briefs.find(token, at: @context.now) or raise GoneError, "brief"
        @context.shared_briefs.used(share, at: @context.now)
        @context = @context.about(share.inquiry_id)
        OpenInquiry.new(@context, @context.inquiries.find(share.inquiry_id))
      end
    end
  end
end
