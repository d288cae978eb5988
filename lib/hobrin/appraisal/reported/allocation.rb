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

        KINDS = Book.names("appraisal.allocation.kind", %i[single cluster crossover])
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
          said = [of_clusters, of_crossover, (Book.t("appraisal.allocation.shared", arms: shared) if shared > 1)].compact
          said.join("; ") unless said.empty?
        end

        private

        def problem(field)
          case field
          when :allocation then Book.t("appraisal.errors.allocation")
          when :cluster_size then Book.t("appraisal.errors.above_1")
          when :icc then Book.t("appraisal.errors.range", least: 0, most: 1)
          when :correlation then Book.t("appraisal.errors.range", least: "−1", most: 1)
          when :shared then Book.t("appraisal.errors.whole_range", least: 1, most: 20)
          end
        end

        def of_clusters
          return unless kind == :cluster
          return Book.t("appraisal.allocation.cluster_adjusted") if adjusted
          return Book.t("appraisal.allocation.cluster_unadjusted") unless size

          Book.t("appraisal.allocation.#{icc ? "cluster" : "cluster_assumed"}", size: plain(size), icc: plain(icc || USUAL_ICC),
                                                                                effect: format("%.2f", design_effect))
        end

        def of_crossover
          return unless kind == :crossover
          return Book.t("appraisal.allocation.crossover_adjusted") if adjusted

          return Book.t("appraisal.allocation.crossover_unpaired") unless correlation

          Book.t("appraisal.allocation.crossover", correlation: plain(correlation))
        end

        def plain(number) = format("%g", number.round(3))

        def check
          wrong = { allocation: !KINDS.key?(kind), cluster_size: !(size.nil? || size.between?(1.0000001, MOST)),
                    icc: !(icc.nil? || icc.between?(0, 1)), correlation: !(correlation.nil? || correlation.between?(-1, 1)),
                    shared: !(shared.is_a?(Integer) && shared.between?(1, 20)) }
          fields = wrong.filter_map { |field, is_wrong| field if is_wrong }
          raise(InputError, fields.to_h { |field| [field, problem(field)] }) if fields.any?
        end
      end
    end
  end
end
