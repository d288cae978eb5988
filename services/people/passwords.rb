# frozen_string_literal: true

require "argon2"
require "securerandom"
require "set"

module Hobrin
  module Services
    # What a password must be, and how it is kept: as what argon2id makes of it, with a salt of its
    # own.
    module Passwords
      # As rodauth makes them: 64 MB and two passes.
      COST = { t_cost: 2, m_cost: 16, p_cost: 1 }.freeze
      # Each hash takes 64 MB and a core for a moment: so many at once, the others wait.
      AT_ONCE = 2
      TURNS = SizedQueue.new(AT_ONCE)
      # The ten thousand passwords that most people have, as rodauth ships them.
      COMMON = File.join(Gem.loaded_specs.fetch("rodauth").full_gem_path, "dict", "top-10_000-passwords.txt")
      private_constant :COST, :AT_ONCE, :TURNS, :COMMON

      class << self
        # Raises InputError (:password) for one that will not do. about :: texts that it must not be
        def check(text, about: [])
          trouble = trouble(text, about:)
          raise InputError, { password: trouble } if trouble
        end

        # Why one will not do, or nil.
        def trouble(text, about: []) = People::Password.trouble(text, common:, about:)

        # What is kept of one.
        def digest(text, cost: COST) = in_turn { Argon2::Password.new(cost).create(text) }

        # A hash of a password that nobody has, which costs as much to check as any.
        def nobodys = @nobodys ||= digest(SecureRandom.hex(32))

        # Does what hashes a password when its turn comes.
        def in_turn
          TURNS << true
          begin
            yield
          ensure
            TURNS.pop
          end
        end

        private

        def common = @common ||= File.readlines(COMMON, chomp: true).to_set(&:downcase).freeze
      end
    end
  end
end
