# frozen_string_literal: true

require "openssl"

module Hobrin
  module Store
    # The key with which this installation signs archives: Ed25519, made when it is asked for first,
    # readable by its owner only.
    class SigningKey
      NAME = "signing.key"
      private_constant :NAME

      # home :: Pathname
      def initialize(home)
        @file = home.join(NAME)
        @lock = Mutex.new
      end

      # An OpenSSL::PKey. Raises StateError for a file that holds none: it is not made anew, since
      # what was signed would no longer be told by it.
      def key
        @lock.synchronize { @key ||= @file.exist? ? read : make }
      end

      private

      def read
        OpenSSL::PKey.read(@file.read)
      rescue OpenSSL::PKey::PKeyError
        raise StateError, Book.t("errors.archive.no_key", file: @file)
      end

      # Written beside it and linked: of two processes that begin at once, one wins.
      def make
        made = OpenSSL::PKey.generate_key("ED25519")
        beside = @file.sub_ext(".#{Process.pid}.new")
        beside.open("w", 0o600) { |file| file.write(made.private_to_pem) }
        File.link(beside, @file)
        made
      rescue Errno::EEXIST
        read
      ensure
        beside&.delete if beside&.exist?
      end
    end
  end
end
