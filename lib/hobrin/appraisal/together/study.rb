# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # One result of one paper for an outcome.
      #
      # record :: Records::Record; paper :: Paper; reported :: Reported
      # result :: Statistics::Result by the outcome's measure, nil where it tells nothing by it,
      #   and for a test
      class Study < Value
        attributes :record, :paper, :reported, :result

        def id = record.id
        def number = reported.number

        # A short name for lists: the first author and the year; several results of a paper differ
        # by group and time.
        def label = record.short_name

        def apart = [reported.group, reported.time].reject(&:empty?).join(", ")
      end
    end
  end
end
