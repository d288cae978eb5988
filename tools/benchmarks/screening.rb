# frozen_string_literal: true

module Hobrin
  module Tools
    module Benchmarks
      # What Sift does over a set of so many papers of a large library, beside a plain way that
      # reads the papers and counts.
      class Screening
        FEW = 300
        MANY = 2_000
        DECIDED = 60
        # The plain way compares so many papers, and the time is multiplied.
        COMPARED = 300
        # An inquiry as the services of Sift ask for it.
        Opened = Struct.new(:id, :inquiry, :cascade, :left_out)
        Left = Struct.new(:final)
        private_constant :FEW, :MANY, :DECIDED, :COMPARED, :Opened, :Left

        def initialize(context)
          @context = context
          @library = context.library
        end

        # Array of Run::Line.
        def call = [page, decision, *orders, alike]

        private

        def line(work, ms, plain_ms: nil, note: "") = Run::Line.new(work:, ms:, plain_ms:, note:)

        def opened(size)
          numbers = @library.index.everything.first(size)
          inquiry = Inquiry.new(question: Question.ask("Do earplugs help?"), blocks: Work.blocks,
                                decisions: decisions(numbers))
          Opened.new(0, inquiry, Left.new(Records::RecordSet.of(numbers)), [])
        end

        # Each fifth is kept.
        def decisions(numbers)
          @library.numbered_all(numbers.first(DECIDED)).each_with_index.map do |record, place|
            verdict = (place % 5).zero? ? :keep : :drop
            Hobrin::Screening::Decision.new(record_id: record.id, verdict:, reason: "Another reason")
          end
        end

        def reader(size, order: :newest)
          Services::Screen::Read.new(@context, opened(size), view: Hobrin::Screening::ListView.new(order:))
        end

        def page
          few = opened(FEW)
          ms = Work::Timing.median do
            reading = Services::Screen::Read.new(@context, few)
            [reading.ladder, reading.read_first, reading.tally, closely(reading.call.open)]
          end
          line("Sift: list, ladder and an open paper", ms,
               note: "#{FEW} papers; without the page's HTML")
        end

        def closely(record) = Services::Screen::Paper::Closely.new(@context).call(record)

        def decision
          few = opened(FEW)
          decided = few.inquiry.decisions.last.record_id
          ms = Work::Timing.median do
            reading = Services::Screen::Read.new(@context, few)
            reading.call(record_id: reading.following(decided))
          end
          line("Sift: the next paper after a decision", ms, note: "#{FEW} papers")
        end

        def orders
          texts = @library.numbered_all(@library.index.everything.first(MANY)).map do |record|
            "#{record.title} #{record.abstract}"
          end
          plain = Work::Timing.once { texts.map { |text| Text::Tokens.of(text).tally }.sort_by { |words| -words.values.max.to_i } }
          %i[strongest closest likeliest].map do |order|
            many = reader(MANY, order:)
            many.call
            ms = Work::Timing.median { reader(MANY, order:).call }
            line("Sift: #{Hobrin::Screening::ListView::ORDERS.fetch(order)} first", ms,
                 plain_ms: plain, note: "#{MANY} papers; the plain way counts words")
          end
        end

        def alike
          record = @library.numbered(1)
          @library.alike(record, limit: 8)
          some = @library.numbered_all(@library.index.everything.first(COMPARED))
          likeness = @library.likeness
          vector = likeness.vector(record)
          plain = Work::Timing.once do
            some.map do |other|
              likeness.cosine(vector, likeness.vector(other))
            end
          end
          line("Sift: papers like one", Work::Timing.median { @library.alike(record, limit: 8) },
               plain_ms: plain * @library.size / some.size, note: "the plain way for #{some.size} papers, multiplied")
        end
      end
    end
  end
end
