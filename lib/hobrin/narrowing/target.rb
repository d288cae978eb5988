# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How many papers a person can read: a band. 20 to 40 at the bedside, some hundreds for a
    # thorough review (common practice, no source).
    class Target < Value
      attributes :from, :to

      MOST = 10_000
      # What an aim is for, and its two ends.
      USUAL = { bedside: [20, 40], thorough: [300, 1_500] }.freeze

      # Raises InputError (:aim) when an end is no whole number of papers or they are the wrong way
      # round.
      def initialize(from: 20, to: 40)
        unless [from, to].all? { |number| number.is_a?(Integer) && number.between?(1, MOST) } && from <= to
          raise InputError,
                { aim: Book.t("narrowing.errors.target") }
        end

        @from = from
        @to = to
        freeze
      end

      # :below, :inside or :above for a number of papers.
      def standing(count)
        return :below if count < from

        count > to ? :above : :inside
      end

      # What a number of papers means beside the aim. Fewer than aimed at are welcome: one person reads
      # them all. They are a worry only where papers may be missing, since a must-find paper is lost or
      # one block finds far fewer papers than the others.
      class Outlook < Value
        # standing :: :none, :few, :missing, :inside or :above; reason :: :must_find or :block where
        #   papers may be missing, else nil; about :: how many must-find papers are lost, or the key of the
        #   block
        attributes :standing, :reason, :about

        # So many times as many papers as the smallest block finds the next one: common practice, no
        # source.
        TIMES = 20

        class << self
          # aim :: Aim; papers :: how many are left; lost :: how many must-find papers are not among them
          # blocks :: Hash of the key of each joined block to how many papers it finds
          def of(aim:, papers:, lost: 0, blocks: {})
            standing = aim.standing(papers)
            return new(standing:, reason: nil, about: nil) unless standing == :below
            return new(standing: :none, reason: nil, about: nil) if papers.zero?
            return new(standing: :missing, reason: :must_find, about: lost) if lost.positive?

            narrow = narrow(blocks)
            narrow ? new(standing: :missing, reason: :block, about: narrow) : new(standing: :few, reason: nil, about: nil)
          end

          private

          # The key of the block that finds far fewer papers than the others, or nil.
          def narrow(blocks)
            (key, smallest), (_, following) = blocks.sort_by(&:last).first(2)
            key if following && smallest * TIMES <= following
          end
        end
      end
    end
  end
end
