# frozen_string_literal: true

module Hobrin
  module Services
    module Inquiries
      # Starts an inquiry from one that is there, or from an archive of another Hobrin. Its trail
      # begins anew and says where it came from; nobody has signed the copy.
      class Copy < Service
        TURNS = Turns.new(at_once: 1, waiting: 1,
                          busy: Book.t("errors.archive.busy"))
        private_constant :TURNS

        # id :: of the one to copy. Gives the new id. Raises GoneError.
        def call(id)
          saved = @context.inquiries.find(id)
          own = @context.own_records.items(id)
          begin_with(saved.inquiry, step: saved.step, kind: :copied, facts: { lines: saved.version },
                                    sample: saved.sample).tap { |copy| keep_beside(copy, own) }
        end

        # text :: of an archive. Papers that the library lacks are added to it by a librarian; whoever
        # else opens it keeps them with the inquiry, until a librarian adds them. Gives the new id.
        # Raises InputError (:archive) for what is not an archive, and for one that does not agree with
        # itself; UnavailableError while several are opened.
        def open(text) = TURNS.take { checked(text) }

        # Adds the papers that stay with an inquiry to the library. Gives how many. Raises RefusedError.
        def add_to_library(id)
          Permit.new(@context).library
          Permit.new(@context).inquiry(:reads, id)
          items = @context.own_records.items(id)
          return 0 if items.empty?

          add(items, sample: @context.inquiries.find(id).sample)
          @context.own_records.forget(id)
          items.size
        end

        private

        def checked(text)
          verdict = Archives.verify_apart(text)
          refuse(verdict) unless verdict.openable?

          data = JSON.parse(text)
          items = missing(data["records"])
          add(items, sample: data["sample"]) if items.any? && may_add?
          inquiry = Store::InquiryDocument.load(JSON.generate(data["inquiry"]))
          id = begin_with(inquiry, step: :act, sample: data["sample"], kind: :archive_opened,
                                   facts: { lines: data["trail"].size, made: data["made"] })
          keep_beside(id, items) unless may_add?
          id
        end

        def begin_with(inquiry, step:, kind:, facts:, sample:)
          inquiry = inquiry.with(acting: inquiry.acting.with(signed: []), peer_reviews: [])
          papers = inquiry.cascade(@context.evaluator).final.size
          line = { who: @context.user.name, kind:, facts:, count_before: papers, count_after: papers,
                   library_version: @context.snapshot.version }
          @context.inquiries.create(inquiry, step:, at: @context.clock.now, line:, sample:, **@context.user.whose)
        end

        def may_add? = ChangeHouse.new(@context).may?

        def add(items, sample:)
          Imports::ImportRecords.new(@context).call(StringIO.new(JSON.generate(items)), format: :csl,
                                                                                        name: Book.t("errors.archive.file_name"), sample:)
          @context.audit.note("papers added", "#{items.size} of an archive")
          @context = @context.pinned
        end

        # Of an archive's papers, those that the library lacks.
        def missing(items)
          by_id = items.to_h { |item| [Exchange::CslJson::Reader.item(item).id, item] }
          here = @context.library.records_by_id(by_id.keys).map(&:id)
          by_id.except(*here).values
        end

        def keep_beside(id, items)
          by_id = items.to_h { |item| [Exchange::CslJson::Reader.item(item).id, item] }
          @context.own_records.keep(id, by_id) if by_id.any?
        end

        def refuse(verdict)
          first = verdict.faults.first
          raise InputError, { archive: Book.t("errors.archive.faults", count: verdict.faults.size, path: first.path, fault: first.says) }
        end
      end
    end
  end
end
