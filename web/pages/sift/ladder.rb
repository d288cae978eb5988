# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # The papers by strength of evidence, and which to read first.
        class Ladder
          # path :: shows only it, or all again when it is shown; bar :: its share of the largest
          #   rung, 0 to 100
          class Rung < Value
            attributes :name, :why, :size, :facts, :path, :chosen, :bar, :aside
          end

          # A paper to read first, with why in words.
          class First < Value
            attributes :record, :why, :path
          end

          # page :: Sift
          def initialize(page)
            @page = page
          end

          def rungs
            steps = @page.reader.ladder
            largest = steps.map { |step| step.rung.papers.size }.max
            steps.map { |step| rung(step, largest) }
          end

          def read_first
            @read_first ||= @page.reader.read_first.map do |one|
              First.new(record: one.record, why: why(one), path: @page.path_to_paper(one.record))
            end
          end

          private

          def rung(step, largest)
            one = step.rung
            chosen = @page.view.rung == one.key
            size = one.papers.size
            Rung.new(name: one.name, why: one.why, size:, chosen:, aside: one.aside?,
                     bar: (100.0 * size / largest).round(1), facts: facts(step),
                     path: @page.path_with(rung: chosen ? nil : one.key))
          end

          def facts(step)
            ["#{step.read} read", ("#{step.kept} kept" if step.kept.positive?),
             ("newest #{step.newest}" if step.newest)].compact.join(" · ")
          end

          def why(choice)
            size = choice.rung.papers.size
            return "#{choice.rung.name}: the only one" if size == 1

            near = ", closest to the search" if choice.closest
            "#{choice.rung.name}: #{choice.newest ? "the newest" : "next newest"} of #{size}#{near}"
          end
        end
      end
    end
  end
end
