# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # How people came to the groups of a result, where they were not randomised one by one, and
      # how its error is adjusted for that.
      #
      # kind :: :single, :cluster or :crossover
      # size :: mean size of a cluster, Float above 1, nil where not said; icc :: intracluster
      #   correlation, 0 to 1, nil for USUAL_ICC
      # correlation :: of the two results of a person in a crossover trial, −1 to 1, nil for 0
      # adjusted :: whether the paper's own analysis allowed for it, so that nothing is to be done
      # shared :: among how many arms the comparison group is split, Integer from 1
      class Allocation < Value
        attributes :kind, :size, :icc, :correlation, :adjusted, :shared

        KINDS = { single: "each person by themselves", cluster: "in clusters: wards, homes, practices",
                  crossover: "crossover: everybody had both, in turn" }.freeze
        # Where the intracluster correlation is not known (common practice).
        USUAL_ICC = 0.05
        MOST = 1_000_000
        private_constant :MOST

        # Raises InputError naming the field.
        def initialize(kind: :single, size: nil, icc: nil, correlation: nil, adjusted: false, shared: 1)
          @kind = kind.to_s.to_sym
          @size, @icc, @correlation = [size, icc, correlation].map { |number| number&.to_f }
          @adjusted = adjusted ? true : false
          @shared = shared
          check
          freeze
        end

        # Whether the error is changed by it.
        def changes? = kind != :single && !adjusted || shared > 1

        # Whether it is a cluster or a crossover trial of which nothing is said that adjusts it.
        def unadjusted?
          !adjusted && ((kind == :cluster && size.nil?) || (kind == :crossover && correlation.nil?))
        end

        # By how much the variance of a cluster-randomised result is larger: 1 + (size − 1) × ICC.
        def design_effect
          kind == :cluster && size && !adjusted ? 1 + ((size - 1) * (icc || USUAL_ICC)) : 1.0
        end

        # In words; nil where there is nothing to say.
        def words
          said = [of_clusters, of_crossover, ("comparison group split among #{shared} arms" if shared > 1)].compact
          said.join("; ") unless said.empty?
        end

        private

        def of_clusters
          return unless kind == :cluster
          return "cluster-randomised, adjusted in the paper" if adjusted
          return "cluster-randomised, not adjusted" unless size

          "cluster-randomised: mean cluster size #{plain(size)}, ICC #{plain(icc || USUAL_ICC)}" \
            "#{" (assumed)" unless icc}, design effect #{format("%.2f", design_effect)}"
        end

        def of_crossover
          return unless kind == :crossover
          return "crossover, adjusted in the paper" if adjusted

          correlation ? "crossover: correlation #{plain(correlation)}" : "crossover, analysed as if unpaired"
        end

        def plain(number) = format("%g", number.round(3))

        def check
          errors = { allocation: ("Choose how people came to the groups." unless KINDS.key?(kind)),
                     cluster_size: ("Enter a number above 1." unless size.nil? || size.between?(1.0000001, MOST)),
                     icc: ("Enter a number from 0 to 1." unless icc.nil? || icc.between?(0, 1)),
                     correlation: ("Enter a number from −1 to 1." unless correlation.nil? || correlation.between?(-1, 1)),
                     shared: ("Enter a whole number from 1 to 20." unless shared.is_a?(Integer) && shared.between?(1, 20)) }.compact
          raise InputError, errors unless errors.empty?
        end
      end
    end
  end
end
