# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      # Puts a report together from its parts: the page for the ward, and all that is behind it.
      module Compose
        PARTS = [Parts::Ward, Parts::Deliberation, Parts::Papers, Parts::Appraised, Parts::Pooled, Parts::Certainty, Parts::Flow, Parts::Measures,
                 Parts::Change, Parts::Search, Parts::References].freeze
        private_constant :PARTS

        # material :: Material. Gives a Report; parts that have nothing to say are left out.
        def self.call(material)
          Report.new(title: material.question.text, sample: material.sample, made: material.brief.searched_on,
                     sections: PARTS.filter_map { |part| part.new(material).call })
        end
      end
    end
  end
end
