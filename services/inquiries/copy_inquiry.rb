# frozen_string_literal: true

module Hobrin
  module Services
    # Starts an inquiry from one that is there, or from an archive of another Hobrin. Its trail
    # begins anew and says where it came from; nobody has signed the copy.
    class CopyInquiry
      def initialize(context)
        @context = context
      end

      # id :: of the one to copy. Gives the new id. Raises GoneError.
      def call(id)
        saved = @context.inquiries.find(id)
        begin_with(saved.inquiry, step: saved.step, kind: :copied, facts: { lines: saved.version },
                                  sample: saved.sample)
      end

      # text :: of an archive. Papers that the library lacks are added to it. Gives the new id.
      # Raises InputError (:archive) for what is no archive, and for one that does not agree with
      # itself.
      def open(text)
        verdict = KeepArchive.verify(text)
        refuse(verdict) unless verdict.sound?

        data = JSON.parse(text)
        take_in(data)
        inquiry = Store::InquiryDocument.load(JSON.generate(data["inquiry"]))
        begin_with(inquiry, step: :act, kind: :archive_opened,
                            facts: { lines: data["trail"].size, made: data["made"].to_s[/\A\d{4}-\d{2}-\d{2}\z/].to_s },
                            sample: data["sample"] == true)
      end

      private

      def begin_with(inquiry, step:, kind:, facts:, sample:)
        inquiry = inquiry.with(acting: inquiry.acting.with(signed: []))
        papers = inquiry.cascade(@context.evaluator).final.size
        line = { who: @context.who, kind:, facts:, count_before: papers, count_after: papers,
                 library_version: @context.snapshot.version }
        @context.inquiries.create(inquiry, step:, at: @context.now, line:, sample:, **@context.whose)
      end

      def take_in(data)
        ids = data["records"].map { |item| Exchange::CslJson::Reader.item(item).id }
        missing = ids - @context.library.records_by_id(ids).map(&:id)
        return if missing.empty?

        ImportRecords.new(@context).call(StringIO.new(JSON.generate(data["records"])), format: :csl,
                                                                                       sample: data["sample"] == true)
        @context = @context.pinned
      end

      def refuse(verdict)
        first = verdict.faults.first
        places = verdict.faults.size == 1 ? "1 place" : "#{verdict.faults.size} places"
        raise InputError, { archive: "This archive does not agree with itself in #{places}, so it is not opened. " \
                                     "The first: #{first.path} #{first.says}." }
      end
    end
  end
end
