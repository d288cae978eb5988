# frozen_string_literal: true

module Hobrin
  module Store
    class Inquiries
      # Inquiries as a board lists them: by how far they have come, a page at a time, without reading any
      # of them whole.
      class Board < Base
        # What is listed of an inquiry. outline :: Inquiry::Outline; readers, weighers :: ids of the two who
        #   screen, and who appraise, independently, or []
        class Listed < Value
          attributes :id, :version, :step, :sample, :touched_at, :papers, :deleted_at, :aside_at, :outline, :readers,
                     :weighers
        end

        # What is read of a row.
        COLUMNS = %i[id version step sample touched_at papers deleted_at aside_at outline first_reader_id second_reader_id
                     first_weigher_id second_weigher_id].freeze
        private_constant :COLUMNS

        def initialize(db, states)
          super(db)
          @states = states
        end

        # What one may know of: those of some wards, and a person's own that are on none. wards :: Array of
        #   ids, nil for all of them
        def seen_by(person_id, wards)
          return @db[:inquiries] unless wards

          @db[:inquiries].where(Sequel.|({ ward_id: wards }, { ward_id: nil, owner_id: person_id }))
        end

        # seen :: as `seen_by` gives it; today :: Date. How many stand at each stage: Hash of a key of
        #   Inquiry::Stage::NAMES to number.
        def counts(seen, today:)
          worked_on(seen).group_and_count(stage(today).as(:stands)).as_hash(:stands, :count).transform_keys(&:to_sym)
        end

        # Those that are worked on, the furthest first, then the last touched. Array of Listed.
        def page(seen, today:, limit:, offset:)
          rank = Inquiry::Stage::NAMES.keys.each_with_index.to_h { |key, place| [key.to_s, place] }
          listed(worked_on(seen).order(Sequel.case(rank, rank.size, stage(today)), Sequel.desc(:touched_at), :id)
                           .limit(limit, offset))
        end

        # Those that were put aside, and those taken away since a time (ISO 8601), the last first.
        def aside(seen, limit:)
          listed(seen.where(deleted_at: nil).exclude(aside_at: nil).order(Sequel.desc(:aside_at), :id).limit(limit))
        end

        def deleted(seen, since:, limit:)
          listed(seen.where(Sequel[:deleted_at] >= since).order(Sequel.desc(:deleted_at), :id).limit(limit))
        end

        # How many papers each of two is done with, and how many both: [Hash of [inquiry id, person id],
        # Hash of inquiry id]. table :: :readings or :sheets
        def done(table, ids)
          return [{}, {}] if ids.empty?

          rows = @db[table].where(inquiry_id: ids)
          rows = rows.where(done: true) if table == :sheets
          each = rows.group_and_count(:inquiry_id, :person_id).to_h { |row| [row.values_at(:inquiry_id, :person_id), row[:count]] }
          both = rows.group(:inquiry_id, :record_id).having { count(:person_id) > 1 }.select(:inquiry_id)
          [each, @db.from(both).group_and_count(:inquiry_id).as_hash(:inquiry_id, :count)]
        end

        # Works out what is missing of those that were last written before there were outlines.
        def complete
          @db[:inquiries].where(outline: nil).select_map(:id).each_slice(100) do |ids|
            @states.inquiries(@db[:inquiries].where(id: ids).all).each do |id, inquiry|
              @db[:inquiries].where(id:, outline: nil).update(**Board.columns(inquiry))
            end
          end
        end

        # What a row has for the board.
        def self.columns(inquiry)
          outline = Inquiry::Outline.of(inquiry)
          # Whether it is due depends on the day.
          stage = Inquiry::Stage.new(outline.with(look_again_on: nil), today: Date.new(0)).key
          { outline: Outlines.dump(outline), stage: stage.to_s, look_again_on: outline.look_again_on&.iso8601 }
        end

        private

        def worked_on(seen) = seen.where(deleted_at: nil, aside_at: nil)

        def stage(today)
          due = Sequel[:look_again_on] <= today.iso8601
          Sequel.case([[due, "due"]], :stage)
        end

        # The rows are found by what is small, and what is shown of them is read then.
        def listed(dataset)
          ids = dataset.select_map(:id)
          rows = @db[:inquiries].where(id: ids).select(*COLUMNS).as_hash(:id)
          rows.values_at(*ids).compact.filter_map { |row| one(row) }
        end

        def one(row)
          outline = Outlines.load(row[:outline]) or return
          plain = row.slice(:id, :version, :sample, :touched_at, :papers, :deleted_at, :aside_at)
          readers, weighers = [%i[first_reader_id second_reader_id], %i[first_weigher_id second_weigher_id]].map do |pair|
            row.values_at(*pair).compact
          end
          Listed.new(**plain, outline:, step: row[:step].to_sym, readers:, weighers:)
        end

        # An Inquiry::Outline to and from JSON. One of another format is made anew from its inquiry.
        module Outlines
          FORMAT = 1
          PLAIN = %i[blocks terms decided kept unsure weighed decision concluded measured steps signed_line].freeze
          private_constant :FORMAT, :PLAIN

          class << self
            def dump(outline)
              JSON.generate({ format: FORMAT, question: InquiryDocument::Questions.dump(outline.question),
                              aim: { from: outline.aim.from, to: outline.aim.to }, **outline.to_h.slice(*PLAIN),
                              open_steps: outline.open_steps.map { |step| { **step.to_h, on: step.on&.iso8601 } },
                              look_again_on: outline.look_again_on&.iso8601 })
            end

            # text :: as `dump` gives it. Gives an Inquiry::Outline, nil for none or another format.
            def load(text)
              data = text && JSON.parse(text, symbolize_names: true)
              return unless data && data[:format] == FORMAT

              steps = data[:open_steps].map { |step| Brief::ActionPlan::Step.new(**step, on: day(step[:on])) }
              Inquiry::Outline.new(**data.slice(*PLAIN), question: InquiryDocument::Questions.load(data[:question]),
                                                         aim: Narrowing::Target.new(**data[:aim]), open_steps: steps,
                                                         look_again_on: day(data[:look_again_on]))
            end

            private

            def day(text) = text && Date.iso8601(text)
          end
        end
      end
    end
  end
end
