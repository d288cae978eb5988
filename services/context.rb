# frozen_string_literal: true

module Hobrin
  module Services
    # What services work with: the stores, the library as it is now, the clock, who is at the desk, and the log of what
    # they do.
    class Context
      attr_reader :stored, :inquiries, :shared_briefs, :own_filters, :house_changes, :own_records, :settings, :papers,
                  :incoming, :library, :filters, :allowed, :directory, :clock, :user

      # stored :: the inquiries as they are kept, for what changes them; inquiries :: the same as who
      #   signed in may read them
      # clock :: anything with `now`, such as Time; language :: anything with `learned`, a
      #   Question::Understanding::Learned, and `dictionary`, a Text::Dictionary: they take memory, and
      #   are asked for only when they are needed
      #   filters :: Strategy::Filters; papers :: Store::KeptPapers;
      #   allowed :: Outside::Allowed; directory :: Store::Directory; standings :: Store::Together::Standings;
      #   together :: Store::Together; signing :: Store::SigningKey, by which archives are signed
      def initialize(inquiries:, shared_briefs:, own_filters:, house_changes:, own_records:, settings:, papers:,
                     directory:, together:, incoming:, library:, who:, clock:, language:, signing: nil,
                     allowed: Outside::Allowed.new(""), filters: Strategy::Filters::NONE)
        @stored = @inquiries = inquiries
        @shared_briefs = shared_briefs
        @own_filters = own_filters
        @house_changes = house_changes
        @own_records = own_records
        @settings = settings
        @papers = papers
        @incoming = incoming
        @library = library
        @user = User.new(who)
        @clock = Clock.new(clock)
        @language = language
        @allowed = allowed
        @directory = directory
        @together = together
        @filters = filters
        @signing = signing
        @lock = Mutex.new
      end

      # The OpenSSL::PKey that signs archives, nil for none.
      def signing_key = @signing&.key

      def dictionary = @language.dictionary
      def standings = @together.standings
      def readings = @together.readings
      def sheets = @together.sheets
      def notes = @together.notes

      # Short, so that an error's message never prints a whole library.
      def inspect = "#<#{self.class}>"

      # A context that looks at the library as it is now for as long as it is kept, such as one
      # request: all its numbers are of one version, and it is asked which one that is but once.
      def pinned
        snapshot = self.snapshot
        dup.tap { |copy| copy.pin(snapshot, evaluator_of(snapshot)) }
      end

      # The same for one who signed in. person :: People::Person
      def as(person) = dup.tap { |copy| copy.let_in(person) }

      # The same for what concerns one inquiry: with the papers that stay with it.
      def about(inquiry_id)
        records = @own_records.of(inquiry_id)
        records.empty? ? self : dup.tap { |copy| copy.put_beside(records) }
      end

      # Where what people do is written down.
      def audit = Audit.new(log: directory.audit, user:, clock:)

      # saved :: Store::Inquiries::Saved. The same as who is here may read it.
      def readable(saved) = user.person ? inquiries.blinded(saved) : saved

      # The library as it is now: its version, size and whether it is made up.
      def snapshot = @pinned_snapshot || library.now

      # The evaluator over it; its answers are kept until the library changes.
      def evaluator = @pinned_evaluator || evaluator_of(library.now)

      def thesaurus = evaluator.thesaurus

      # What reads a question.
      def understanding = Question::Understanding.new(@language.learned, thesaurus)

      # What papers are told by when Hobrin learns what a person keeps: Hash of each number to its
      # Screening::Likeness::Traits. They are kept until the library changes: a page asks for those of every
      # paper.
      def traits(numbers) = library.traits(numbers)

      # The names that a search may use in the library as it is now.
      def vocabulary
        index = evaluator.index
        Strategy::Vocabulary.new(thesaurus:, filters:, journals: index.values(:journal),
                                 places: index.values(:place))
      end

      protected

      def let_in(person)
        @user = User.signed_in(person)
        @inquiries = BlindInquiries.new(@stored, @together, person)
        @papers = @papers.seen_from(person.wards.keys)
      end

      def put_beside(records) = @library = LibraryBeside.new(@library, records)

      def pin(snapshot, evaluator)
        @pinned_snapshot = snapshot
        @pinned_evaluator = evaluator
      end

      private

      def evaluator_of(snapshot)
        @lock.synchronize do
          unless @version == snapshot.version
            @evaluator = Retrieval::Evaluator.new(index: snapshot.index,
                                                  thesaurus: snapshot.thesaurus, filters:)
            @version = snapshot.version
          end
          @evaluator
        end
      end
    end
  end
end
