# frozen_string_literal: true

module Hobrin
  module Services
    # Whether what Hobrin rests on is there, for a monitor.
    class Health < Service
      # What is raised where a database cannot be read.
      UNREADABLE = Store::Database::Unreadable

      # The same in a sentence.
      def self.trouble(error) = Store::Database.trouble(error)

      # Hash of each part to whether it answers.
      def call
        { inquiries: -> { @context.settings["resolver"] }, people: -> { @context.directory.accounts.empty? },
          library: -> { @context.library.version } }.transform_values { |ask| answers?(&ask) }
      end

      # The public key by which archives of this installation are told.
      def archive_key = (key = @context.signing_key) && Exchange::Archive::Signature.public_key(key)

      private

      def answers?
        yield
        true
      rescue StandardError
        false
      end
    end
  end
end
