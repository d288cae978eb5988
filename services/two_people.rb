# frozen_string_literal: true

module Hobrin
  module Services
    # Two people of a ward who do one step of an inquiry, each without seeing what the other does.
    # A subclass gives the store that knows the two and what each made, as `kept`.
    class TwoPeople
      def initialize(context, id)
        @context = context
        @id = id
      end

      def on? = !pair.nil?

      # Whether it is done apart: where nobody signs in, there is nobody to be apart from.
      def apart? = on? && !@context.user.person.nil?
      def reader? = apart? && pair.include?(@context.user.person.id)

      # The two, or none.
      def readers = pair.to_a.map { |id| @context.directory.accounts.known(id) }

      # "Ann and Bo"
      def names = readers.map(&:name).join(" and ")

      # Ends it: what both made stays, what only one did is nobody's.
      def stop = let_read(nil, "#{done} twice no more")

      private

      # "read", "weighed"
      def done = raise(NotImplementedError)

      # A Store::Together::Independent.
      def kept = raise(NotImplementedError)

      def pair
        @pair = kept.readers(@id) unless defined?(@pair)
        @pair
      end

      # Lets the owner and another of the ward begin. Raises InputError (:second).
      def begin_with(second_id)
        owner = @context.standings.of(@id).owner_id
        others = Sharing::ShareInquiry.new(@context).read(@id).people.keys
        second = others.find { |person| person.id == second_id }
        raise InputError, { second: Book.t("errors.dual.owner_first") } unless owner
        raise InputError, { second: Book.t("errors.dual.choose_colleague_of_ward") } unless second

        standings = @context.standings
        standings.give(@id, second.id, :second) unless standings.of(@id).allows?(second, :second)
        let_read([owner, second.id], "#{done} twice with #{second.name}")
      end

      def let_read(pair, about)
        kept.let_read(@id, pair)
        @pair = pair
        @context.audit.note("inquiry #{@id}", about)
      end

      # How many of so many papers each has still to do: Hash of name to number, empty where nothing
      # is done apart. done :: how many each is done with
      def left(papers, done)
        return {} unless apart?

        readers.map(&:name).zip(done).to_h { |name, count| [name, [papers - count, 0].max] }
      end

      # As it is kept, whoever asks.
      def inquiry = @context.stored.find(@id).inquiry
      def apply_edit(edit) = ApplyEdit.new(@context).call(@id, edit)
      def refuse(words) = raise(InputError, { press: words })
    end
  end
end
