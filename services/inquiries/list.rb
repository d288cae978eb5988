# frozen_string_literal: true

module Hobrin
  module Services
    module Inquiries
      # What the first page shows. It asks a fixed number of statements, however many inquiries there
      # are, and reads none of them whole but those from whose reader something is hidden.
      class List < Service
        # entries :: Array of Entry, the furthest first; counts :: Hash of a key of Inquiry::Stage::NAMES to
        #   how many stand there; aside :: those that were put aside; deleted :: those that can be
        #   brought back, both as Store::Inquiries::Board::Listed; page :: number from 1; pages :: how many there are
        # papers :: in the library; sample :: whether they are made up
        class Overview < Value
          attributes :entries, :counts, :aside, :deleted, :page, :pages, :papers, :sample

          def total = counts.values.sum
        end

        # listed :: Store::Inquiries::Board::Listed; stage :: Inquiry::Stage; unread, unweighed :: Hash of the
        #   name of each of two who read, or weigh, its papers to how many they have not yet, none where
        #   that is done once
        class Entry < Value
          attributes :listed, :stage, :unread, :unweighed
        end

        PAGE = 50
        MOST_ASIDE = 100
        private_constant :MOST_ASIDE

        def initialize(context)
          super
          @board = context.stored.board
        end

        # page :: number from 1; the last one where there are fewer. Gives an Overview.
        def call(page: 1)
          counts = @board.counts(seen, today:)
          pages = [(counts.values.sum / PAGE.to_f).ceil, 1].max
          page = page.clamp(1, pages)
          listed = @board.page(seen, today:, limit: PAGE, offset: (page - 1) * PAGE)
          Overview.new(entries: entries(listed), counts:, aside: @board.aside(seen, limit: MOST_ASIDE), deleted:, page:,
                       pages:, papers: @context.snapshot.size, sample: @context.snapshot.sample?)
        end

        private

        def person = @context.user.person
        def today = @context.clock.today
        def seen = @seen ||= @board.seen_by(person&.id, person&.wards&.keys)

        # Those that who is here could bring back.
        def deleted
          all = @board.deleted(seen, since: Delete.new(@context).since, limit: MOST_ASIDE)
          return all unless person

          standings = @context.standings.some(all.map(&:id))
          all.select { |listed| standings.fetch(listed.id).allows?(person, :owns) }
        end

        def entries(listed)
          listed = listed.map { |inquiry| @context.inquiries.outlined(inquiry) } if person
          reading = left(listed, :readings, :readers) { |inquiry| [inquiry.papers, inquiry.outline.decided] }
          weighing = left(listed, :sheets, :weighers) { |inquiry| [inquiry.outline.kept, inquiry.outline.weighed] }
          listed.map do |inquiry|
            signed = inquiry.outline.signed_line
            stage = Inquiry::Stage.new(inquiry.outline, today:, since_signed: signed && (inquiry.version - signed))
            Entry.new(listed: inquiry, stage:, unread: reading.fetch(inquiry.id, {}), unweighed: weighing.fetch(inquiry.id, {}))
          end
        end

        # How much each of two has still to do: Hash of inquiry id to Hash of name to number. The block
        # gives how many papers there are, and how many are done with.
        def left(listed, table, pair)
          return {} unless person

          twice = listed.select { |inquiry| inquiry.public_send(pair).size == 2 }
          each, both = @board.done(table, twice.map(&:id))
          twice.to_h do |inquiry|
            papers, done = yield inquiry
            # What was done before the two began is outside.
            papers -= [done - both.fetch(inquiry.id, 0), 0].max
            [inquiry.id, inquiry.public_send(pair).to_h { |id| [names[id].to_s, [papers - each.fetch([inquiry.id, id], 0), 0].max] }]
          end
        end

        def names = @names ||= @context.directory.accounts.names
      end
    end
  end
end
