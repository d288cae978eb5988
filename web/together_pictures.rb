# frozen_string_literal: true

module Hobrin
  module Web
    # What Weigh draws of papers put together, as SVG.
    module TogetherPictures
      PEOPLE = 100
      IN_ROW = 20
      private_constant :PEOPLE, :IN_ROW

      # The pooled value as a diamond, with the line of where a new study may lie. pooled, prediction ::
      # Pages::Weigh::Together::Mark, the second may be nil
      def forest_diamond(pooled, prediction)
        ends = prediction && %(x1="#{prediction.low}" y1="10" x2="#{prediction.high}" y2="10")
        line = ends && %(<line class="forest-predicted" #{ends}/>)
        points = "#{pooled.low},10 #{pooled.middle},3 #{pooled.high},10 #{pooled.middle},17"
        "#{line}<polygon class=\"forest-diamond\" points=\"#{points}\"/>"
      end

      # A hundred people: those who have it in either case, those who have it only without, only with,
      # and never. of :: Pages::Weigh::Together::Hundred
      def people_picture(of)
        both, most = [of.without, of.with].minmax
        only = of.without > of.with ? "person-spared" : "person-more"
        marks = Array.new(PEOPLE) do |place|
          name = place < both ? "person-both" : (place < most ? only : "person-none")
          row, column = place.divmod(IN_ROW)
          %(<circle class="#{name}" cx="#{(column * 12) + 6}" cy="#{(row * 12) + 6}" r="4.4"/>)
        end
        frame = "0 0 #{IN_ROW * 12} #{PEOPLE / IN_ROW * 12}"
        %(<svg class="people" viewBox="#{frame}" aria-hidden="true">#{marks.join}</svg>)
      end
    end
  end
end
