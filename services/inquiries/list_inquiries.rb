# frozen_string_literal: true

module Hobrin
  module Services
    # What the first page shows.
    class ListInquiries
      # entries :: Array of Entry, last touched first; aside :: those that were put aside
      # deleted :: Array of Store::Inquiries::Saved that can be brought back; papers :: in the
      #   library
      # sample :: whether they are made up
      class Overview < Value
        attributes :entries, :aside, :deleted, :papers, :sample
      end

      # saved :: Store::Inquiries::Saved; stage :: Inquiry::Stage; unread, unweighed :: Hash of the
      #   name of each of two who read, or weigh, its papers to how many they have not yet, none where
      #   that is done once
      class Entry < Value
        attributes :saved, :stage, :unread, :unweighed
      end

      def initialize(context)
        @context = context
      end

      # Gives an Overview. Each inquiry brings its last count with it, so that none is counted anew.
      def call
        here, aside = seen(@context.inquiries.all).map { |saved| entry(saved) }
                                                  .partition { |one| one.saved.aside_at.nil? }
        Overview.new(entries: here, aside:, deleted: owned(DeleteInquiry.new(@context).kept),
                     papers: @context.snapshot.size, sample: @context.snapshot.sample?)
      end

      private

      # Those that who signed in may know of.
      def seen(all) = person ? all.select { |saved| standings[saved.id].ability(person) } : all
      def owned(all) = person ? all.select { |saved| standings[saved.id].allows?(person, :owns) } : all
      def person = @context.person
      def standings = @standings ||= @context.standings.all

      def entry(saved)
        signed = saved.inquiry.acting.signed.last
        stage = Inquiry::Stage.new(saved.inquiry, today: @context.today,
                                                  since_signed: signed && (saved.version - signed.line))
        Entry.new(saved:, stage:, unread: ReadTwice.new(@context, saved.id).unread(saved.papers),
                  unweighed: WeighTwice.new(@context, saved.id).unweighed(saved.inquiry.kept_ids))
      end
    end
  end
end
