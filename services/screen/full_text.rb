# frozen_string_literal: true

module Hobrin
  module Services
    module Screen
      # The full text of a paper, as a PDF that a person keeps with it: a librarian for everybody,
      # others for the ward of their inquiry.
      class FullText < Service
        LARGEST_BYTES = Store::KeptPapers::LARGEST_BYTES
        # Reading one may take long and much: two at a time.
        READING = ReadLater.new(at_once: 2, patience: 2)
        FOR_ALL = Book.t("errors.pdf.librarian_removes")
        private_constant :FOR_ALL

        # How a paper stands: waiting :: whether a PDF waits to be read; refused :: why the last one was not kept, or nil
        # kept :: whether one is kept; keeps :: whether who is here changes what all inquiries share
        # resolver :: address of the library's link resolver, "" for none
        class State < Value
          attributes :waiting, :refused, :kept, :keeps, :resolver
        end

        def initialize(context)
          super
          @house = ChangeHouse.new(context)
        end

        # Gives a State.
        def state(record_id)
          papers = @context.papers
          State.new(waiting: papers.waiting?(record_id), refused: papers.refused(record_id), kept: papers.kept?(record_id),
                    keeps: @house.may?, resolver: @context.settings["resolver"])
        end

        # inquiry_id :: where the person works; path :: of a file that came in, nil for none. Raises
        #   InputError (:pdf), GoneError for a paper that is not in the library. Gives whether it is kept
        #   now; else it is read later, and the page shows what came of it.
        def call(record_id, inquiry_id, path)
          known(record_id)
          ward_id = ward(inquiry_id)
          staged = @context.papers.stage(record_id, path, ward_id:)
          READING.call { settle(record_id, staged, ward_id) }
        end

        # That of the ward, or else the one for everybody. Raises GoneError, InputError (:pdf).
        def remove(record_id, inquiry_id)
          own = @context.user.person && @context.standings.of(inquiry_id).ward_id
          own = nil unless own && @context.papers.kept_for?(record_id, own)
          raise GoneError, "full text" unless @context.papers.kept?(record_id)
          raise InputError, { pdf: FOR_ALL } unless own || @house.may?

          @house.change("pdf", record_id, nil, ward_id: own) do |aside|
            @context.papers.remove(record_id, aside, ward_id: own)
          end
        end

        # Gives a Download. Raises GoneError.
        def read(record_id)
          record = known(record_id)
          name = Text::Tokens.of(record.title).first(6).join("-")
          Download.new(name: "#{name.empty? ? "paper" : name}.pdf", type: "application/pdf",
                       body: @context.papers.pdf(record_id))
        end

        private

        def settle(record_id, staged, ward_id)
          papers = @context.papers
          text = papers.read(staged)
          @house.change("pdf", record_id, nil, ward_id:) { |aside| papers.settle(record_id, staged, text, aside:, ward_id:) }
        rescue InputError => e
          papers.refuse(record_id, e.message, ward_id:)
          raise
        end

        def ward(inquiry_id) = (@context.standings.of(inquiry_id).ward_id unless @house.may?)
        def known(record_id) = @context.library.record(record_id) || raise(GoneError, "paper")
      end
    end
  end
end
