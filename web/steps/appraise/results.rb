# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # What one paper gives: the results that stand, and the form for one.
        class Results
          include Formatting

          MOST_OFFERS = 12
          private_constant :MOST_OFFERS

          # A field of the form: name, label :: in full; value :: as typed
          class Field < Value
            attributes :name, :label, :value, :whole
          end

          # Numbers that the text gives: paths :: Array of [words, path] that take them, one for each
          #   way to take them; taken :: whether they were
          class Offered < Value
            attributes :offer, :paths, :taken
          end

          attr_reader :page

          # page :: Page; row :: Brief::EvidenceRow; reading :: Services::Appraise::Read
          def initialize(page, row, reading)
            @page = page
            @row = row
            @all_offers = outcome ? read_offers(reading) : []
            freeze
          end

          def record = @row.record

          def standing = @row.results.map { |result| Page::Standing.new(page, record, result) }

          # An outcome to be named, while there is none.
          def described = Described.new(page)

          # Whether the form comes before what stands: while one is written or changed, and where
          # the paper gives nothing for the outcome yet.
          def form_first?
            given = @row.results.any? { |result| result.outcome == outcome }
            changed || taken || page.errors.any? || !given
          end

          # [name, path, whether it is chosen]
          def outcomes
            page.weighing.outcomes.map do |listed|
              [listed.name, page.path_to_numbers(record, listed), listed == outcome]
            end
          end

          # The outcome that numbers are written for: the one that was asked for, else the first
          # for which the paper gives none yet.
          def outcome
            number = [page.fields.number(:numbers), page.fields.number(:outcome)].find do |number|
              number.is_a?(Integer)
            end
            page.weighing.outcome(number) || missing || page.weighing.outcomes.first
          end

          # The result that is changed, nil for a new one.
          def changed
            number = page.fields.number(:result)
            @row.paper&.result(number) if number.is_a?(Integer)
          end

          def form
            key = page.typed_or(:form, page.fields.some_text(:as) || taken&.form || changed&.form)
            Appraisal::Reported::Form.fetch(outcome.sort.forms.include?(key) ? key : outcome.sort.forms.first)
          end

          # [name, path, whether it is chosen]
          def forms
            outcome.sort.forms.map do |key|
              one = Appraisal::Reported::Form.fetch(key)
              [one.name, page.path_to_numbers(record, outcome, as: key, result: changed&.number),
               one == form]
            end
          end

          # [heading, Array of Field] of each group.
          def groups
            return [["", form.fields.map { |field| field(field, field.name) }]] unless form.two_groups

            [[capital(arms.intervention_name), form.fields.map { |field| field(field, field.name) }],
             [capital(arms.comparison_name), form.fields.map { |field| field(field, form.other(field.name)) }]]
          end

          # The two groups that the outcome compares.
          def arms = page.arms(outcome)

          # How people came to the groups: [key, name, whether it is chosen], and its numbers as
          # typed.
          def allocations
            page.choices(:allocation, Appraisal::Reported::Allocation::KINDS, (changed&.allocation&.kind || said_allocation).to_s)
          end

          # Whether there is anything to say of it.
          def allocated? = changed ? !changed.allocation.words.nil? : said_allocation != :single

          def allocated(name)
            stored = changed&.allocation&.public_send(name == :cluster_size ? :size : name)
            page.typed_or(name, stored.is_a?(Float) ? format("%g", stored) : stored.to_s)
          end

          def adjusted? = page.errors.any? ? page.fields.checked?(:adjusted) : (changed&.allocation&.adjusted || false)

          # In which measure a printed effect is: [key, name, whether it is chosen]; none for other
          # forms.
          def measures
            return [] unless form.key == "estimate"

            chosen = page.typed_or(:measure,
                                   (measure_taken || changed&.measure || outcome.way.measure).to_s)
            outcome.sort.measures.map { |key| [key, Appraisal::Outcome::Measure.fetch(key).name, key.to_s == chosen] }
          end

          def text(name)
            page.typed_or(name, taken ? of_offer(name) : changed&.public_send(name).to_s)
          end

          def checked?(name)
            page.errors.any? ? page.fields.checked?(name) : (changed&.public_send(name) || false)
          end

          def scale? = outcome.kind == "scale"

          # What the abstract and the full text offer for the outcome.
          def offers
            return [] if changed && taken.nil?

            all_offers.each_with_index.map do |offer, place|
              Offered.new(offer:, paths: paths(offer, place), taken: place == place_taken)
            end
          end

          private

          # Where the sentence does not tell which group is which, the person says it.
          def paths(offer, place)
            take = ->(**rest) { page.path_to_numbers(record, outcome, take: place, **rest) }
            return [[Book.t("appraise.result.use", numbers: offer.says.join(" and ")), take.call]] if offer.settled

            offer.says.zip(%w[first second]).map { |says, group| [says, take.call(with: group)] }
          end

          def of_offer(name)
            { shown: taken.sentence.text, group: taken.labels.first, comparison: taken.labels.last }.fetch(name, "")[0, 600]
          end

          # As title and abstract say it.
          def said_allocation = CloseReading::MadeAs::UnitOfAllocation.of(record) || :single

          def missing
            given = (@row.paper&.reported || []).map(&:outcome_id)
            page.weighing.outcomes.find { |outcome| !given.include?(outcome.id) }
          end

          attr_reader :all_offers

          def read_offers(reading)
            found = reading.passages(record).flat_map do |passage|
              CloseReading::Offers.all_in(passage, outcome.sort.forms, measures: outcome.sort.printed, arms:)
            end
            found.first(MOST_OFFERS)
          end

          # The offer that was asked for, nil for none.
          def taken
            offer = all_offers[place_taken] if outcome && place_taken
            offer && !offer.settled && page.fields.text(:with) == "second" ? offer.turned : offer
          end

          def place_taken
            place = page.fields.number(:take)
            place if place.is_a?(Integer) && place.between?(0, all_offers.size)
          end

          # A ratio of any name is a ratio where printed effects are pooled as they are.
          def measure_taken
            return taken&.measure unless outcome.kind == "ready" && taken

            taken.measure.end_with?("ratio") ? :ratio : :difference
          end

          def field(field, name)
            stored = taken ? taken.typed[name] : changed&.typed&.[](name)
            Field.new(name:, label: field.label, value: page.typed_or(name, stored.to_s),
                      whole: field.whole)
          end
        end
      end
    end
  end
end
