# frozen_string_literal: true

module Hobrin
  module Services
    # Writes an inquiry as an archive, and checks one.
    class Archives < Service
      # faults :: Array of Exchange::Archive::Check::Fault; agree :: how many numbers agree;
      #   question :: of the inquiry; key :: the public key that signed it, nil for none; format ::
      #   of the file
      class Verdict < Value
        attributes :faults, :agree, :question, :key, :format

        def sound? = faults.empty?

        # Whether it may be opened: numbers of an earlier format followed other rules, and are worked
        # out anew in any case.
        def openable? = format == 1 ? faults.all? { |fault| fault.path.start_with?("numbers/") } : sound?
      end

      LINE = %i[number at who step kind change count_before count_after library_version note].freeze
      # How far a process steps back, and how long it may work.
      STEPS_BACK = 10
      MOST_SECONDS = 12
      private_constant :LINE, :STEPS_BACK, :MOST_SECONDS

      # id :: of an inquiry; situation :: whether what led to the question goes along, which may tell of a
      #   patient. Gives a Download. Raises GoneError.
      def write(id, situation: false)
        inquiry = @context.inquiries.find(id).inquiry
        inquiry = inquiry.with(question: inquiry.question.with(situation: "")) unless situation
        records = @context.library.records_by_id(inquiry.kept_ids)
        body = Exchange::Archive.write(
          inquiry: JSON.parse(Store::InquiryDocument.dump(inquiry)), trail: trail(id),
          records: JSON.parse(Exchange::CslJson::Writer.call(records)),
          numbers: Exchange::Archive::Numbers.new(inquiry, records).call,
          sample: @context.snapshot.sample?, made: @context.clock.today, key: @context.signing_key
        )
        Download.new(name: "hobrin-#{id}-archive.json", type: "application/json", body:)
      end

      # text :: of a file; key :: the public key that must have signed it, nil for any. Gives a
      # Verdict. Raises InputError (:archive).
      def self.verify(text, key: nil)
        data = Exchange::Archive.read(text)
        faults, agree = Schema.faults(data), 0
        faults, agree = Exchange::Archive::Check.new(data, key:) { anew(data) }.call if faults.empty?
        signed = data["signature"]
        Verdict.new(faults:, agree:, question: question_of(data), key: (signed["key"] if signed.is_a?(Hash)),
                    format: data["format"])
      end

      # The same in a process of its own, which steps back for those that answer: an archive may take long.
      # Raises InputError (:archive), UnavailableError where it was too much.
      def self.verify_apart(text)
        verdict = nil
        reading = Imports::ReadAhead::ForkedReader.new do |give|
          Process.setpriority(Process::PRIO_PROCESS, 0, STEPS_BACK)
          Process.setrlimit(:CPU, MOST_SECONDS)
          give.call(verify(text))
        end
        reading.take { |value| verdict = value }
        verdict
      rescue UnavailableError
        raise InputError, { archive: Book.t("errors.archive.takes_too_long") }
      ensure
        reading&.stop(at_once: true)
      end

      # The numbers that follow from what lies in the file.
      def self.anew(data)
        inquiry = Store::InquiryDocument.load(JSON.generate(data["inquiry"]))
        records = data["records"].map { |item| Exchange::CslJson::Reader.item(item) }
        Exchange::Archive::Numbers.new(inquiry, records).call
      end

      def self.question_of(data)
        inquiry = data["inquiry"]
        question = inquiry["question"] if inquiry.is_a?(Hash)
        question.is_a?(Hash) ? question["text"].to_s : ""
      end
      private_class_method :anew, :question_of

      private

      def trail(id)
        @context.inquiries.trail(id).reverse.map do |line|
          LINE.to_h { |name| [name, line.public_send(name)] }
        end
      end

      # What an archive must look like, before anything in it is taken for what it should be:
      # config/archive.schema.json for the file, config/inquiry.schema.json for the inquiry in it, led
      # to the present format.
      module Schema
        FOLDER = Pathname(__dir__).join("../config")
        MOST = 5
        private_constant :FOLDER, :MOST

        class << self
          # data :: as Exchange::Archive.read gives it. Array of Exchange::Archive::Check::Fault, those of
          # the inquiry only where the file is as it should be.
          def faults(data)
            return [fault("", Book.t("errors.archive.fault.character"))] if nul?(data)

            found = errors(file, data)
            return found if found.any?

            upgraded = Store::Upgrades.call(JSON.parse(JSON.generate(data["inquiry"]), symbolize_names: true))
            errors(inquiry, JSON.parse(JSON.generate(upgraded)), "inquiry")
          rescue KeyError, NoMethodError, TypeError, ArgumentError
            [fault("inquiry", Book.t("errors.archive.fault.unreadable"))]
          end

          private

          def file = @file ||= schema("archive")
          def inquiry = @inquiry ||= schema("inquiry")

          def schema(name)
            require "json_schemer"
            JSONSchemer.schema(FOLDER.join("#{name}.schema.json"))
          end

          def nul?(data)
            case data
            when String then data.include?("\0")
            when Array then data.any? { |value| nul?(value) }
            when Hash then data.any? { |key, value| nul?(key) || nul?(value) }
            else false
            end
          end

          def errors(schema, data, within = nil)
            return [] if schema.valid?(data)

            schema.validate(data).first(MOST).flat_map do |error|
              missing = error.dig("details", "missing_keys")
              next missing.map { |key| fault(path(within, error, key), Book.t("errors.archive.fault.missing")) } if missing

              [fault(path(within, error), Book.t("errors.archive.fault.malformed"))]
            end
          end

          # As Check names places: items of a list are counted from 1.
          def path(within, error, key = nil)
            parts = error["data_pointer"].split("/").drop(1)
            [within, *parts.map { |part| part.match?(/\A\d+\z/) ? part.to_i + 1 : part }, key].compact.join("/")
          end

          def fault(path, says) = Exchange::Archive::Check::Fault.new(path:, says:)
        end
      end
    end
  end
end
