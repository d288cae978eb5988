# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Many people asked the same at one time.
      class Survey < Maker
        private

        def abstract
          asked = @random.rand(80..900)
          answered = (asked * @random.rand(0.35..0.85)).round
          users = (answered * @random.rand(0.1..0.9)).round
          parts(background: "How often #{i} is used is not known.", methods: phrase("methods", @design),
                results: "#{share(answered, asked)} answered. #{share(users, answered)} used #{i} in most weeks; " \
                         "#{o} was the reason named most.",
                conclusion: phrase("survey_end"))
        end
      end
    end
  end
end
