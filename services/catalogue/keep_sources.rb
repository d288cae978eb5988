# frozen_string_literal: true

module Hobrin
  module Services
    # The list of catalogues: puts one on it, after having asked what it can do, and takes one off.
    class KeepSources
      PROTOCOLS = %w[sru oai].freeze
      LONGEST = 120
      NO_FORMAT = "It gives records in no format that is read here: MODS, MARCXML or Dublin Core."
      private_constant :LONGEST, :NO_FORMAT

      # fetch :: Outside::Fetch
      def initialize(context, fetch: Outside::Fetch.for_page(context.allowed))
        @context = context
        @fetch = fetch
        @sources = context.library.sources
      end

      def all = @sources.all

      # protocol :: one of PROTOCOLS. Gives a Store::Sources::Source. Raises InputError (:name,
      #   :address, :protocol), Outside::NoAnswer.
      def add(name:, address:, protocol:, stand_in: false)
        name = name.to_s.gsub(/[[:space:]]+/, " ").strip
        check(name, protocol)
        values = { name:, address: address.to_s.strip, protocol:, stand_in:,
                   added_at: @context.now }
        @sources.write(**values, **(protocol == "sru" ? asked(address) : harvested(address)))
      end

      def remove(id) = @sources.remove(@sources.find(id).id)

      private

      def check(name, protocol)
        errors = {}
        errors[:name] = "Write what it is called, in at most #{LONGEST} letters." if name.empty? || name.size > LONGEST
        errors[:name] = "Give it a name with letters in it." if errors.empty? && Text::Tokens.line(name).empty?
        errors[:protocol] = "Choose how it is asked." unless PROTOCOLS.include?(protocol)
        raise InputError, errors if errors.any?
      end

      # Version 2.0 is asked for once it says that it can.
      def asked(address)
        ability = Outside::SruSource.new(@fetch, address).ability
        format = ability.schema or refuse
        { version: ability.version, format:, about: ability.about, ability: }
      end

      def harvested(address)
        name, prefixes = Outside::OaiSource.new(@fetch, address).identity
        format = Catalogue::PREFIXES.keys.find { |prefix| prefixes.include?(prefix) }
        format ? { version: "2.0", format:, about: name } : refuse
      end

      def refuse = raise(InputError, { address: NO_FORMAT })
    end
  end
end
