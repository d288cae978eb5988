# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # The Weigh step: the kept papers and the outcomes beside one of them that is open.
        class Page < StepPage
          KEY = :weigh

          # A kept paper in the list: gives :: how many results, in words, or nothing
          class Title < Value
            attributes :record, :level, :gives, :path, :open
          end

          # An outcome in the list: says :: how sure it is, or what is still to do
          class Link < Value
            attributes :name, :says, :path, :open
          end

          PANES = %i[sheet numbers outcome fresh table findings].freeze
          private_constant :PANES

          # rows :: the kept papers as Array of Brief::EvidenceRow, as one of two who weigh them apart sees them
          # open :: the one being weighed: the one asked for, else the first not weighed yet
          # portion :: the part of the papers that is listed: the one asked for, or that with the open paper
          attr_reader :rows, :open, :portion

          # part :: the open part of the page, an object of its own
          # twice :: what is to be known where two weigh apart; nil where they do not: [words, path]
          attr_reader :part, :twice

          # context :: Services::Context; paper :: id of the record to open, nil for the one that was asked for
          def initialize(context:, paper: nil, **rest)
            super(**rest)
            @paper = paper || fields.some_text(:paper)
            apart = Services::Appraise::DualAppraisal.new(context, id)
            @rows = Services::Act::ReadBrief.new(context).rows(apart.as_weighed(inquiry))
            @open = rows.find { |row| row.record.id == @paper } || rows.find { |row| !weighed?(row) } || rows.first
            @portion = Web::Page::Portion.of(rows, from: fields.number(:from), with: rows.index(open)&.succ)
            @own_part, @twice = apart.reader?, read_twice(apart)
            reading = Services::Appraise::Read.new(context, opened)
            @pools = weighing.outcomes.to_h { |outcome| [outcome, reading.pool(outcome)] }
            @certainties = @pools.transform_values { |pool| reading.certainty(pool) }
            @part = read_part(reading, apart) unless empty?
            freeze
          end

          def empty? = rows.empty?
          def weighing = inquiry.weighing
          def heading = Book.t("appraise.page.included_papers", count: rows.size)
          def weighed = rows.count { |row| weighed?(row) }
          def path_to_portion = ->(from) { path(key, from:) }

          # Whether who signed in has a sheet to fill in, whatever else they may do.
          def own_part? = @own_part

          # Of an outcome: its papers together, as Appraisal::Synthesis::Pool; how sure that is, as Appraisal::Certainty,
          # nil where no paper is counted; and the two groups that it compares, as CloseReading::Arms.
          def pool(outcome) = @pools.fetch(outcome)
          def certainty(outcome) = @certainties.fetch(outcome)
          def arms(outcome) = outcome.arms.or(question.arms)

          def experience? = question.kind == "experience"

          # What stands beside the lists: one of PANES.
          def pane
            return :numbers if fields.sent?(:numbers)
            return :outcome if outcome
            return { "table" => :table, "findings" => :findings, "new" => :fresh }.fetch(fields.text(:show), :sheet) if @paper.nil?

            :sheet
          end

          # The Appraisal::Outcome that was asked for, nil for none.
          def outcome
            number = fields.number(:outcome)
            weighing.outcome(number) if number.is_a?(Integer)
          end

          def titles
            shows = %i[sheet numbers].include?(pane)
            portion.shown.map do |row|
              level = row.level if weighed?(row)
              Title.new(record: row.record, level: level || Book.t("appraise.page.not_appraised"), gives: gives(row),
                        path: path(key, paper: row.record.id), open: shows && row == open)
            end
          end

          def outcomes
            weighing.outcomes.map do |listed|
              Link.new(name: listed.name, says: says(listed), path: path_to_outcome(listed),
                       open: pane == :outcome && outcome == listed)
            end
          end

          def path_to_outcome(outcome, **query) = path(key, outcome: outcome.id, **query)

          def path_to_numbers(record, outcome = nil, **query)
            path(key, paper: record.id, numbers: outcome&.id || "yes", **query)
          end

          def path_to_sheet(record) = path(key, paper: record.id)
          def path_to_table = path(key, show: "table")
          def path_to_findings = path(key, show: "findings")
          def path_to_fresh = path(key, show: "new")

          def dock_words
            return Book.t("appraise.page.choose_type") unless kind

            traps = weighing.outcomes.sum { |outcome| pool(outcome).open_traps.size }
            traps.positive? ? Book.t("appraise.page.warnings_open", count: traps) : ""
          end

          private

          def read_part(reading, apart)
            case pane
            when :sheet then Checklist.new(self, open, apart)
            when :numbers then Results.new(self, open, reading)
            when :outcome then outcome.kind == "test" ? Accuracy.new(self, outcome) : Outcome.new(self, outcome)
            when :fresh then Described.new(self)
            when :table then reading.findings_table
            when :findings then Qualitative.new(self, reading)
            end
          end

          # apart :: Services::Appraise::DualAppraisal
          def read_twice(apart)
            return unless apart.apart?

            overview = apart.overview
            readers = overview.readers.map(&:name).zip(overview.weighed)
            done = readers.map { |person, papers| Book.t("appraise.page.done_with", person:, papers:) }
            open = count_of(overview.open.size, "paper")
            [Book.t("appraise.page.dual", done: done.join(", "), papers: open), path(:sheets)]
          end

          # What a paper gives may stand before anybody judged it.
          def weighed?(row) = !row.paper.nil? && row.paper.weighed?

          def gives(row) = row.results.empty? ? "" : " · #{count_of(row.results.size, "result")}"

          def says(outcome)
            pool = pool(outcome)
            return Book.t("appraise.page.no_data") if pool.studies.empty?
            return Book.t("appraise.page.warnings", count: pool.open_traps.size) if pool.open_traps.any?

            "#{count_of(pool.studies.size, "result")} · #{certainty(outcome).word}"
          end

          # A result of a paper that stands: its groups, its effect, and what is to be doubted of it.
          class Standing
            # page :: Weigh; record :: of the paper; result :: Brief::EvidenceRow::Result
            def initialize(page, record, result)
              @page = page
              @record = record
              @result = result
              @told = Brief::Words::OfResult.new(result.outcome.measure)
            end

            def outcome = @result.outcome
            def reported = @result.reported
            def groups = @told.groups(reported).compact
            def doubts = reported.doubts

            # Who, against whom, when, and what was done to the numbers, in words.
            def about
              [reported.group, reported.comparison, reported.time, *reported.notes].reject(&:empty?).join(" · ")
            end

            # How what it does not give was made, nil where nothing was.
            def made = Appraisal::Reported::Figures::Values.made(reported.form)

            # Why it is not counted, nil where it is.
            def aside = reported.aside && Appraisal::Synthesis::WHY.fetch(reported.aside)

            def path = @page.path_to_numbers(@record, outcome, result: reported.number)
            def path_to_outcome = @page.path_to_outcome(outcome)

            # What a press about it sends.
            def fields = { paper: @record.id, result: reported.number, outcome: outcome.id }

            def effect
              return test(reported.values) if outcome.kind == "test"

              @told.result(reported, outcome.way) || Book.t("appraise.page.not_with_measure", measure: outcome.measure.name)
            end

            # Four counts with their difference and number needed, as Brief::Words::OfEffect; nil for
            #   others.
            def effect_words
              Brief::Words::OfEffect.new(@result.effect) if @result.effect && outcome.measure.ratio?
            end

            private

            def test(test)
              both = { sensitivity: test.sensitivity, specificity: test.specificity }
              ratios = { positive_ratio: test.positive_ratio, negative_ratio: test.negative_ratio, odds_ratio: test.odds_ratio }
              shares = both.map { |name, interval| Book.t("appraise.result.#{name}", interval: share(interval)) }
              [*shares, *ratios.map { |name, interval| Book.t("appraise.result.#{name}", interval: ratio(interval)) }].join(", ")
            end

            def ratio(one)
              Book.t("appraise.page.ratio_interval", estimate: @page.decimal(one.estimate), low: @page.decimal(one.low),
                                                     high: @page.decimal(one.high))
            end

            def share(one)
              Book.t("appraise.page.share_interval", estimate: @page.points(one.estimate), low: @page.points(one.low),
                                                     high: @page.points(one.high))
            end
          end
        end
      end
    end
  end
end
