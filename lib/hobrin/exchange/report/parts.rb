# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      # What a report says, part by part, as data; the page for the ward is Parts::Ward.
      module Parts
        # What the parts of a report have in common.
        class Part
          include Text::Numerals

          # material :: Material
          def initialize(material)
            @material = material
          end

          private

          attr_reader :material

          def brief = material.brief
          def acting = material.acting

          # Nil without anything in it.
          def section(key, title, *blocks)
            blocks = blocks.flatten.compact
            Section.new(key:, title:, blocks:) unless blocks.empty?
          end

          def words(text, as = :plain) = (Words.new(text:, as:) unless text.to_s.strip.empty?)
          def items(list) = (Items.new(list:) unless list.empty?)
          def columns(keys) = keys.map { |key| Book.t("exports.report.#{key}") }
          def grid(name, columns, rows) = (Grid.new(name:, columns:, rows:) unless rows.empty?)
        end

        # The evidence table.
        class Papers < Part
          def call
            columns = [Book.t("exports.report.paper"), Book.t("exports.report.design_level"), Book.t("exports.report.results"),
                       Book.t("exports.report.in_one_sentence")]
            title = Book.t("exports.report.evidence")
            section(:papers, title, grid(title, columns, brief.rows.map { |row| line(row) }))
          end

          private

          def line(row)
            gives = row.results.map { |result| Brief::Words::OfPaper.of(result).to_s }
            made = [row.design&.name || Book.t("exports.report.not_appraised"), row.level&.to_s, moved(row), applies(row)].compact
            [named(row.record), made.join(", "), gives.join("\n"), row.paper&.finding.to_s]
          end

          def moved(row) = (Book.t("exports.report.level_changed", reason: row.paper.graded_why) if row.paper && row.paper.graded != 0)

          def applies(row) = (Book.t("exports.report.different", people: row.applicability) if row.applicability)

          def named(record)
            retracted = "RETRACTED: " if record.retracted?
            "#{retracted}#{record.title} #{[record.byline, record.journal,
                                            record.year].compact.join(", ")}"
          end
        end

        # The appraisal of each paper, domain by domain, in words.
        class Appraised < Part
          def call
            groups = Appraisal::Checklists::GROUPS.select { |key, _| appraised.any? { |_, concerns| concerns.key?(key) } }
            rows = appraised.map { |row, concerns| [row.record.short_name, *groups.keys.map { |key| cell(row, concerns, key) }] }
            section(:appraised, Book.t("exports.report.appraisal"),
                    grid(Book.t("exports.report.appraisal"), [Book.t("exports.report.paper"), *groups.values], rows))
          end

          private

          # [row, concern by group] of each paper that was appraised.
          def appraised
            @appraised ||= brief.rows.select(&:paper).filter_map do |row|
              concerns = row.paper.concern_by_group(material.question.kind)
              [row, concerns] if concerns.any?
            end
          end

          def cell(row, concerns, key)
            word = Appraisal::Checklists::Concern::WORDS[concerns[key]].to_s
            set = row.paper.concerns[key]
            set ? Book.t("exports.report.set_by", judgement: word, reason: set.why) : word
          end
        end

        # Each outcome that papers were put together for, with its forest.
        class Pooled < Part
          def call
            pools = material.table.rows.map(&:pool).select(&:pooled)
            section(:pooled, Book.t("exports.report.pooled_results"), pools.flat_map { |pool| outcome(pool) })
          end

          private

          def outcome(pool)
            told = Brief::Words::OfResult.new(pool.measure)
            rows = pool.studies.map { |study| row(study, pool, told) }
            rows << [Book.t("exports.report.pooled"), "", told.of(pool.pooled)]
            columns = [Book.t("exports.report.paper"), groups(pool), capital(pool.measure.name)]
            [words(pool.outcome.name, :strong), words(pool.arms.words), Pictures::Forest.of(pool),
             grid(pool.outcome.name, columns, rows), items(notes(pool)), items([size(pool), *Brief::PooledFacts.new(pool).call])]
          end

          def row(study, pool, told)
            reach = pool.way.z * study.result.error
            effect = study.result.effect
            [study.record.short_name, told.groups(study.reported).compact.join(" · "),
             told.interval(effect, effect - reach, effect + reach)]
          end

          def size(pool)
            people = Book.t("exports.report.people", count: pool.people) if pool.people.positive?
            "#{count_of(pool.studies.size, "paper")}#{people}."
          end

          def groups(pool)
            return Book.t("exports.report.groups") unless pool.outcome.sort.compares?

            "#{capital(pool.arms.intervention_name)} · #{pool.arms.comparison_name}"
          end

          # What was done to single results before they were pooled.
          def notes(pool)
            pool.studies.reject { |study| study.reported.notes.empty? }.map do |study|
              "#{study.record.short_name}: #{study.reported.notes.join("; ")}"
            end
          end
        end

        # How certain each outcome is and why: every reason that rated it down or up, with its
        # numbers and what a person wrote, and the reasons that did not.
        class Certainty < Part
          STEPS = { -2 => :down_two, -1 => :down_one, 0 => :none, 1 => :up_one, 2 => :up_two }
                  .transform_values { |key| Book.t("exports.report.rating.#{key}") }.freeze
          private_constant :STEPS

          def call
            rows = material.table.rows.select(&:certainty)
            section(:certainty, Book.t("exports.report.certainty"), rows.flat_map { |row| outcome(row) })
          end

          private

          def outcome(row)
            certainty = row.certainty
            moved, unmoved = certainty.lines.partition { |line| !line.steps.zero? || line.judgement }
            [words(Book.t("exports.report.certainty_of", outcome: row.outcome.name, certainty: certainty.word), :strong),
             words(certainty.start_why), items(moved.map { |line| reason(certainty, line) }), words(kept(unmoved))]
          end

          def reason(certainty, line)
            steps = STEPS.fetch(line.steps)
            steps = Book.t("exports.report.not_counted", steps:) unless certainty.counts?(line)
            Book.t("exports.report.reason", domain: name(line), steps:, why: line.why, judged: judged(line))
          end

          def judged(line)
            Book.t("exports.report.judged", reason: line.judgement.why) if line.judgement
          end

          def kept(lines)
            names = lines.reject(&:up?).map { |line| name(line).downcase }
            Book.t("exports.report.not_rated_down", domains: names.join(", ")) if names.any?
          end

          def name(line) = Appraisal::Certainty::DOMAINS.fetch(line.domain)
        end

        # Shall we? What speaks for and against.
        class Deliberation < Part
          def call
            rows = Brief::Acting::Consideration::ALL.filter_map do |key, name|
              one = acting.consideration(key)
              [name, Brief::Acting::Consideration::MARKS.fetch(one.mark, Book.t("exports.report.not_marked")), one.line] unless one.empty?
            end
            section(:deliberation, Book.t("exports.report.decision"),
                    grid(Book.t("exports.report.decision"), columns(%i[consideration range note]), rows))
          end
        end

        # What the change needs, its steps, and what was learnt in small cycles.
        class Change < Part
          def call
            section(:change, Book.t("exports.report.action_plan"), needs, steps, cycles)
          end

          private

          def needs
            rows = Brief::ActionPlan::MORE.filter_map do |name, prompt|
              text = brief.plan.public_send(name)
              [prompt, text] unless text.empty?
            end
            named(Book.t("exports.report.needs"), ["", ""], rows)
          end

          def named(name, columns, rows)
            [(words(name, :strong) if rows.any?), grid(name, columns, rows)]
          end

          def steps
            rows = acting.steps.map do |step|
              [step.on ? day(step.on.iso8601) : "", step.who, step.what, step.done ? "done" : ""]
            end
            named(Book.t("exports.report.steps"), %w[By Who What Done], rows)
          end

          def cycles
            rows = acting.cycles.map { |cycle| [cycle.plan, cycle.did, cycle.saw, cycle.next_time] }
            named(Book.t("exports.report.cycles"), Brief::ActionPlan::PdsaCycle::NAMES.values, rows)
          end
        end

        # What is measured, and what the numbers say.
        class Measures < Part
          def call
            section(:measures, "Measures:", acting.measures.map { |measure| told(measure) })
          end

          private

          def told(measure)
            chart = Brief::Measure::Chart.new(measure)
            [words("#{measure.name} (#{Brief::Measure::SORTS.fetch(measure.sort)})", :strong),
             (Pictures::RunChart.of(chart, measure) if chart.any?),
             items([chart.change, chart.difference, *chart.words].compact),
             grid(measure.name, [Book.t("exports.report.from"), Book.t("exports.report.data"), Book.t("exports.report.result")],
                  chart.rows)]
          end
        end

        # The search, line by line, and as one text.
        class Search < Part
          def call
            rows = brief.lines.map do |line|
              [line.number.to_s, line.name, line.rule, number(line.count)]
            end
            counted = Book.t("exports.report.counted_on", day: day(brief.searched_on.iso8601))
            section(:search, Book.t("exports.report.search"), words(counted, :small),
                    grid(Book.t("exports.report.search"), ["", *columns(%i[line rule papers])], rows),
                    words(brief.cql, :code), *others)
          end

          private

          # Each other catalogue with what it was asked.
          def others
            return [] if brief.elsewhere.empty?

            rows = brief.elsewhere.map { |search| [search.source, day(search.on), number(search.count)] }
            [grid(Book.t("exports.report.other_catalogues"), %w[Catalogue Asked Found], rows),
             *brief.elsewhere.map { |search| words("#{search.source}: #{search.query}", :code) }]
          end
        end

        # The flow of papers, as boxes and as text.
        class Flow < Part
          def call
            steps = Brief::Flow::Boxes.new(brief.flow).steps
            rows = steps.map { |step| [told(step.main), step.aside ? told(step.aside) : ""] }
            section(:flow, Book.t("exports.report.flow"), Pictures::Flow.of(steps),
                    grid(Book.t("exports.report.flow"), %w[Papers Aside], rows))
          end

          private

          def told(box)
            first, *rest = box.lines
            ["#{number(box.count)} #{first}", *rest].join("; ")
          end
        end

        # The papers as a list of references, who signed, and where it can be read.
        class References < Part
          def call
            section(:references, Book.t("exports.report.references"), items(material.references), left_out,
                    (words(Book.t("exports.report.style", style: material.style), :small) if material.references.any?),
                    signed, words(material.address && Book.t("exports.report.read_at", address: material.address), :small))
          end

          private

          def left_out
            count = material.brief.rows.size
            words(Book.t("exports.report.references_in_files", count:), :small) if material.references.empty? && count.positive?
          end

          def signed
            acting.signed.each.with_index(1).flat_map do |signature, number|
              line = Book.t("exports.report.version", number:, name: signature.name, day: day(signature.on.iso8601), line: signature.line)
              [words(line), *open_when(signature)]
            end
          end

          # What was open when somebody signed, and why they signed all the same.
          def open_when(signature)
            return [] if signature.gaps.empty?

            [words(Book.t("exports.report.open_points", reason: signature.reason), :small), items(signature.gaps)]
          end
        end
      end
    end
  end
end
