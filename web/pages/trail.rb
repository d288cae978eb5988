# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The trail of an inquiry.
      class Trail < Step
        def title = "Trail: #{question.text}"
        def lines = @lines ||= Services::ReadTrail.new(@context).call(id)
      end
    end
  end
end
