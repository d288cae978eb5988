# frozen_string_literal: true

require "ipaddr"
require "socket"
require "resolv"
require "uri"

module Hobrin
  module Outside
    # Which addresses may be asked: only those of a list that who runs Hobrin wrote. A name that
    # leads to a private address is refused, unless that address is on the list itself.
    class Allowed
      # What a port says where it is not said.
      PORTS = { "http" => 80, "https" => 443 }.freeze
      LOCAL = %w[localhost].freeze
      # Addresses that providers share out inside (RFC 6598).
      SHARED = IPAddr.new("100.64.0.0/10")
      # What leads nowhere that a catalogue could be (RFC 6890): this network, several at once, kept for
      # later.
      NOWHERE = %w[0.0.0.0/8 192.0.0.0/24 198.18.0.0/15 224.0.0.0/4 240.0.0.0/4 ff00::/8 fec0::/10]
                .map { |range| IPAddr.new(range) }.freeze
      # Ranges that carry an IPv4 address within, with how far from the end it stands: NAT64 (RFC 6052),
      # 6to4 (RFC 3056), and those that were once mapped.
      CARRYING = { IPAddr.new("64:ff9b::/96") => 0, IPAddr.new("64:ff9b:1::/48") => 0, IPAddr.new("2002::/16") => 80,
                   IPAddr.new("::/96") => 0, IPAddr.new("::ffff:0:0/96") => 0 }.freeze
      private_constant :PORTS, :LOCAL, :SHARED, :NOWHERE, :CARRYING

      # text :: hosts, apart by commas, each perhaps with a port: "catalogue.example,127.0.0.1:4747"
      # resolve :: gives the addresses of a name as an Array of String
      def initialize(text, resolve: ->(name) { Resolv.getaddresses(name) })
        @entries = text.to_s.split(",").map { |entry| entry.strip.downcase }.reject(&:empty?).uniq
        @resolve = resolve
      end

      def none? = @entries.empty?

      # Host and port of each entry, to be read.
      def to_a = @entries

      # address :: String. Gives [URI, the address to connect to]. Raises InputError (:address) before
      #   any connection.
      def check(address)
        uri = read(address)
        refuse("#{uri.host} is not among the catalogues that this Hobrin may ask (HOBRIN_SOURCES).") unless listed?(uri)
        [uri, connectable(uri)]
      end

      private

      def read(address)
        uri = URI.parse(address.to_s.strip)
        good = uri.is_a?(URI::HTTP) && uri.host && uri.userinfo.nil? && uri.fragment.nil?
        good ? uri : refuse("Write the address of a catalogue, such as https://catalogue.example/sru")
      rescue URI::InvalidURIError
        refuse("This is no address that can be asked.")
      end

      def listed?(uri)
        host = uri.hostname.downcase
        @entries.include?("#{host}:#{uri.port}") || (@entries.include?(host) && uri.port == PORTS.fetch(uri.scheme))
      end

      # The address itself is connected to, so that a name cannot lead elsewhere in between.
      def connectable(uri)
        host = uri.hostname
        return host if address?(host)

        found = LOCAL.include?(host.downcase) ? ["127.0.0.1"] : @resolve.call(host)
        refuse("The name #{host} leads nowhere.") if found.empty?
        private_one = found.find { |one| inside?(one) && !named_here?(host, one, uri.port) }
        refuse("The name #{host} leads to a private address, which is not on the list.") if private_one

        found.first
      end

      def address?(host)
        IPAddr.new(host) && true
      rescue IPAddr::Error
        false
      end

      def named_here?(host, address, port)
        LOCAL.include?(host.downcase) || [address, "#{address}:#{port}"].intersect?(@entries)
      end

      def inside?(address)
        one = carried(IPAddr.new(address.split("%").first))
        one.loopback? || one.private? || one.link_local? || one.to_i.zero? || within?(one, [SHARED, *NOWHERE])
      rescue IPAddr::Error
        true
      end

      def within?(address, ranges) = ranges.any? { |range| range.family == address.family && range.include?(address) }

      # The IPv4 address that an IPv6 one stands for, or else that one itself.
      def carried(address)
        return address if address.ipv4? || address.loopback?

        _, shift = CARRYING.find { |range, _| range.include?(address) }
        shift ? IPAddr.new((address.to_i >> shift) & 0xffff_ffff, Socket::AF_INET) : address
      end

      def refuse(words) = raise(InputError, { address: words })
    end
  end
end
