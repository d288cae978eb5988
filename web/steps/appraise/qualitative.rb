# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # What experience studies found: the findings, the papers that speak to each, and how far
        # each can be relied on.
        class Qualitative
          include Formatting

          # Steps of confidence, with the keys of their names.
          STEPS = { 0 => :none, -1 => :down_one, -2 => :down_two }.freeze
          private_constant :STEPS

          # A paper in the form of a finding: place :: its place in the form; speaks :: choices;
          #   words :: the
          # sentence that says it; offers :: sentences of its abstract
          class Voice < Value
            attributes :place, :record, :speaks, :words, :offers
          end

          # papers :: the kept papers as columns of the grid, those that tell of experience first; voices :: Array of Voice
          attr_reader :papers, :voices

          # page :: Page; reading :: Services::Appraise::Read
          def initialize(page, reading)
            @page = page
            @confidences = page.weighing.findings.to_h { |finding| [finding, reading.confidence(finding)] }
            @papers = page.rows.sort_by.with_index { |row, place| [qualitative?(row) ? 0 : 1, place] }
            @voices = papers.each_with_index.map { |row, place| voice(row, place) }
            freeze
          end

          # [Appraisal::Finding, Confidence, path, whether it is open]
          def findings
            @confidences.map do |listed, confidence|
              [listed, confidence, @page.path(:weigh, show: "findings", finding: listed.id), listed == finding]
            end
          end

          # The one that is open, nil for a new one.
          def finding
            number = @page.fields.number(:finding)
            @page.weighing.finding(number) if number.is_a?(Integer)
          end

          def path_to_fresh = @page.path(:weigh, show: "findings", finding: "new")

          # Whether the form is open: for one that is there, or a new one.
          def open?
            finding || @page.fields.text(:finding) == "new" || @page.weighing.findings.empty? || @page.errors.any?
          end

          def text = @page.typed_or(:text, finding&.text.to_s)

          # For the grid: what a paper says to a finding, in a word.
          def says(finding, record)
            speaks = finding.support[record.id]&.speaks
            %i[for against].include?(speaks) ? Book.t("appraise.findings.speaks.#{speaks}") : "–"
          end

          def confidence = finding && @confidences.fetch(finding)

          # [component, name, proposed, why, said, choices, by] of the open finding.
          def lines
            confidence.lines.map do |line|
              [line.component, Appraisal::Finding::Confidence::COMPONENTS.fetch(line.component),
               steps_words(line.proposed), line.why,
               steps_words(line.steps), choices(line), line.judgement&.why.to_s]
            end
          end

          private

          def voice(row, place)
            stored = finding&.support&.[](row.record.id)
            Voice.new(place:, record: row.record, speaks: speaks(place, stored), words: words(place, stored),
                      offers: offers(row.record))
          end

          def qualitative?(row)
            (row.paper&.design || Appraisal::Design.proposed(row.record)&.key) == "qualitative"
          end

          def speaks(place, stored)
            given = @page.refused?(:speaks) ? @page.fields.nested(:speaks).text(place) : stored&.speaks.to_s
            [["", Book.t("appraise.findings.speaks.nothing"), given.empty?]] +
              Appraisal::Finding::Voice::WAYS.map { |value, name| [value, name, value.to_s == given] }
          end

          def words(place, stored)
            @page.refused?(:words) ? @page.fields.nested(:words).text(place) : stored&.words.to_s
          end

          # What the findings section of an abstract says.
          def offers(record)
            passage = CloseReading::Passage.new(record.abstract)
            found = passage.of(:results)
            (found.empty? ? passage.sentences : found).first(3).map(&:text)
          end

          def steps_words(steps) = Book.t("appraise.certainty.steps.#{STEPS.fetch(steps)}")

          def choices(line)
            chosen = line.judgement&.steps
            proposed = ["", Book.t("appraise.findings.as_proposed"), chosen.nil?]
            [proposed] + STEPS.keys.map { |step| [step, steps_words(step), step == chosen] }
          end
        end
      end
    end
  end
end
