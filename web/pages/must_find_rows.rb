# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The papers that must be found: which are in, what lost the others, what brings them back; and how the search does so far.
      class MustFindRows
        include Words

        # page :: Narrow; reader :: Services::ReadWhatIfs
        def initialize(page, reader)
          @page = page
          @reader = reader
        end

        # Array of Services::ReadWhatIfs::Known.
        def all = @all ||= @reader.known(@page.standing, @page.what_ifs.all)
        def found = all.count(&:found)

        # "lost by “Adults, 19 and over” and “2016 to 2026”"
        def lost_by(known)
          return "nothing is searched" if known.steps.empty?

          "lost by #{known.steps.map { |step| "“#{@page.short_label(step)}”" }.join(" and ")}"
        end

        # Whether two changes are looked for, where that is asked for, and what was found: Services::ReadWhatIfs::Pair or nil.
        def looking_for_two?(known) = @page.fields.text(:two) == known.record.id
        def two_path(known) = "#{@page.path}?two=#{Rack::Utils.escape(known.record.id)}"
        def pair = @pair ||= @reader.pair(@page.inquiry, @page.fields.text(:two))

        # How the search does so far, in sentences.
        def rate_lines
          rates = @page.reader.rates(@page.standing)
          [(found_line(rates) if rates.known.positive?), (precision_line(rates) if rates.read.positive?)].compact
        end

        private

        def found_line(rates)
          "Sensitivity to your must-find papers: #{rates.found} of #{rates.known}, #{percent(rates.sensitivity)}."
        end

        def precision_line(rates)
          kept = "Of #{count_of(rates.read, "paper")} read, #{rates.kept} kept: precision #{percent(rates.precision)}"
          needed = rates.number_needed_to_read
          needed ? "#{kept}; #{decimal(needed, 1)} read for each one kept." : "#{kept}."
        end

        # "19 % (95 % interval 9 to 35 %)"
        def percent(share)
          estimate, low, high = [share.estimate, share.low, share.high].map { |one| (one * 100).round }
          "#{estimate} % (95 % interval #{low} to #{high} %)"
        end
      end
    end
  end
end
