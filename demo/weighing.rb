# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # Weighs an inquiry of the sample, from weighing.yml: its outcomes, the sheets of its papers,
    # what they give, the traps that were settled, and what experience studies found.
    class Weighing
      FILE = File.expand_path("weighing.yml", __dir__)
      ID = "10.5555/hobrin.%s"
      private_constant :FILE, :ID

      # id :: of the inquiry; name :: its key in the file
      def initialize(context, id, name)
        @context = context
        @id = id
        @data = YAML.safe_load_file(FILE, symbolize_names: true).fetch(name.to_sym)
        @usual = @data.fetch(:usual, {})
      end

      def call
        @data.fetch(:keep, []).each { |key| keep(key) }
        @data[:outcomes].each_value { |given| name(given) }
        take(@data[:papers].reject { |key, _| later.include?(key.to_s) })
        @data.fetch(:traps, []).each { |trap| settle(trap) }
        @data.fetch(:findings, []).each_with_index { |finding, place| write(finding, place + 1) }
      end

      # The papers whose full text came after the brief was signed for the first time.
      def call_later
        later.each { |key| keep(key) }
        take(@data[:papers].select { |key, _| later.include?(key.to_s) })
      end

      private

      def later = @data.fetch(:later, [])

      # papers :: Hash of key to what stands in the file
      def take(papers)
        papers = papers.to_h do |key, paper|
          [@context.library.record(format(ID, key)), @usual.merge(paper)]
        end
        papers.each { |record, paper| weigh(record, paper) }
        report_all(papers)
      end

      def keep(key)
        decision = Screening::Decision.new(record_id: format(ID, key), verdict: :keep, reason: nil,
                                           note: "")
        edit(Edits::Screen::Decide.new(decision:))
      end

      def name(given)
        chosen = given.slice(:measure, :model)
        arms = given[:arms] ? { arms: CloseReading::Arms.new(**given[:arms]) } : {}
        edit(Edits::Outcomes::Write.new(outcome_id: nil, given: given.except(:arms, *chosen.keys).merge(arms)))
        return if chosen.empty?

        written = weighing.outcomes.last
        edit(Edits::Outcomes::Pool.new(outcome_id: written.id, way: written.way.with(**chosen)))
      end

      def weigh(record, paper)
        design = Appraisal::Design.fetch(paper[:design] || Appraisal::Design.proposed(record).key)
        edit(Edits::Appraise::SaveAppraisal.new(
               paper: Appraisal::Paper.new(record_id: record.id, design: design.key,
                                           answers: answers(paper, design, record),
                                           applies: paper.fetch(:applies, {}).transform_values(&:to_sym),
                                           **paper.slice(:reviewed, :finding, :graded, :graded_why))
             ))
      end

      # [record, what stands in the file] of each paper, once all sheets are answered.
      def report_all(papers)
        papers.each do |record, paper|
          paper.fetch(:results, {}).each do |name, some|
            some.each do |result|
              report(record, outcome(name), result)
            end
          end
        end
      end

      # The sentence that shows an answer is the one that Hobrin points at, where there is one.
      def answers(paper, design, record)
        passage = CloseReading::Passage.new(record.abstract)
        Appraisal::Checklists.for(design, kind).questions.filter_map do |question|
          says = paper.fetch(:answers, {})[question.key]
          shown = %w[yes mostly].include?(says) ? question.sentences(passage).first&.text.to_s : ""
          [question.key, Appraisal::Paper::Answer.new(says:, shown:)] if says
        end.to_h
      end

      def report(record, outcome, result)
        numbers = result[:take] ? taken(record, outcome, result[:take]) : typed(outcome, result[:typed])
        edit(Edits::Results::Write.new(record_id: record.id, number: nil,
                                       given: { outcome_id: outcome.id, **numbers,
                                                **result.except(:take, :typed) }))
      end

      def taken(record, outcome, place)
        passage = CloseReading::Passage.new(record.abstract)
        offer = CloseReading::Offers.all_in(passage, outcome.sort.forms,
                                            measures: outcome.sort.printed,
                                            arms: outcome.arms.or(inquiry.question.arms)).fetch(place)
        group, comparison = offer.labels
        { form: offer.form, typed: offer.typed, measure: offer.measure, shown: offer.sentence.text, group:, comparison: }
      end

      def typed(outcome, numbers)
        form = Appraisal::Reported::Form.fetch(outcome.sort.forms.first)
        { form: form.key, typed: form.names.zip(numbers.map(&:to_s)).to_h }
      end

      def settle(trap)
        record_id = format(ID, trap[:paper])
        outcome_id = outcome(trap[:outcome]).id
        results = weighing.paper(record_id).reported.select { |result| result.outcome_id == outcome_id }
        edit(Edits::Results::SettleWarning.new(record_id:, number: results.fetch(trap.fetch(:nth, 0)).number,
                                               trap: trap[:trap].to_sym,
                                               mend: !trap[:count]))
      end

      def write(finding, id)
        voices = %i[for against].flat_map do |speaks|
          finding.fetch(speaks, []).map { |key| [format(ID, key), voice(format(ID, key), speaks)] }
        end
        edit(Edits::Findings::Write.new(finding_id: nil, text: finding[:text], support: voices.to_h))
        finding.fetch(:judged, {}).each do |component, (steps, why)|
          judgement = Appraisal::Outcome::Judgement.new(steps:, why:)
          edit(Edits::Findings::Judge.new(finding_id: id, component:, judgement:))
        end
      end

      def voice(record_id, speaks)
        passage = CloseReading::Passage.new(@context.library.record(record_id).abstract)
        words = passage.sentences.find { |sentence| sentence.section == :results }&.text.to_s
        Appraisal::Finding::Voice.new(speaks:, words:)
      end

      def outcome(name)
        weighing.outcomes.find { |outcome| outcome.name == @data[:outcomes].fetch(name.to_sym)[:name] }
      end

      def inquiry = @context.inquiries.find(@id).inquiry
      def weighing = inquiry.weighing
      def kind = inquiry.question.kind
      def edit(edit) = Services::ApplyEdit.new(@context).call(@id, edit)
    end
  end
end
