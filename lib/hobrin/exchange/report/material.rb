# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      # What a report is made of.
      #
      # brief :: Brief; acting :: Brief::Acting; table :: Brief::FindingsTable
      # references :: Array of texts, one for each kept paper; style :: the name of their style
      # sample :: whether the papers are made up; address :: where it can be read, or nil
      class Material < Value
        attributes :brief, :acting, :table, :references, :style, :sample, :address

        def question = brief.question
      end
    end
  end
end
