# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Act step.
      class Act < Step
        def brief = @brief ||= Services::ReadBrief.new(@context).call(standing)

        def conclusion = errors.empty? ? inquiry.conclusion : fields.text(:conclusion)

        def plan(field) = errors.empty? ? inquiry.plan.public_send(field) : fields.text(field)

        def flow = brief.flow
      end
    end
  end
end
