# frozen_string_literal: true

module Hobrin
  module Store
    # Steps that lead a stored inquiry of an older format to the present one. A change of the format
    # adds one step and one to FORMAT; a step that was released is never altered.
    # spec/fixtures/documents holds documents of every format.
    module Upgrades
      FORMAT = 9

      # Format that a step starts from, to a Proc from the data of that format (Hash with Symbols
      # for keys) to the next one's.
      #
      # 1 to 2: of a review it is asked what it reviewed; nothing was said of that before.
      # 2 to 3: citations are followed in rounds; there were none.
      # 3 to 4: outcomes are things of their own, see ToOutcomes.
      # 4 to 5: a ward thinks of more than the plan and measures it; nothing was said of that before.
      # 6 to 7: other catalogues are asked; none was.
      # 7 to 8: an outcome names its arms, a result says how people came to its groups; nothing was
      # said of either, see ToArms.
      # 8 to 9: a signature says what was open and why it was given all the same, see ToSignOff.
      STEPS = {
        1 => ->(data) { data.merge(papers: data[:papers].map { |paper| { **paper, reviewed: "" } }) },
        2 => ->(data) { data.merge(rounds: []) },
        3 => ->(data) { ToOutcomes.call(data) },
        4 => ->(data) { data.merge(acting: { considerations: {}, decision: "", measures: [], signed: [] }) },
        5 => ->(data) { data.merge(acting: { **data[:acting], steps: [], cycles: [] }) },
        6 => ->(data) { data.merge(elsewhere: []) },
        7 => ->(data) { ToArms.call(data) },
        8 => ->(data) { ToSignOff.call(data) }
      }.freeze

      # data :: Hash as stored; steps, format :: for a test of the road itself
      # Gives the data in the present format. Raises StateError for a format that is newer than this
      # program.
      def self.call(data, steps: STEPS, format: FORMAT)
        stored = data.fetch(:format)
        if stored > format
          raise StateError,
                "This inquiry was written by a newer Hobrin (format #{stored}; this one reads " \
                "#{format})."
        end

        (stored...format).reduce(data) do |now, step|
          steps.fetch(step).call(now).merge(format: step + 1)
        end
      end
    end
  end
end
