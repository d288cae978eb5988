# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      # Where a form leads once its change was made.
      #
      # step :: another step to show, nil for the one that the form is on; paper :: id of the record
      #   to open there, or nil
      # said :: what was done, in words, where the page does not show it; stay :: Hash of parameters
      #   that the page keeps, such as what is open on it; list :: Hash of those that its address
      #   has too
      class After < Value
        attributes :step, :paper, :said, :stay, :list

        def initialize(step: nil, paper: nil, said: nil, stay: {}, list: {})
          super
        end

        # What the address of the page says of it.
        def query = { **list, "paper" => paper }.compact
      end
    end
  end
end
