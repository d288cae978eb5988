# frozen_string_literal: true

require "securerandom"

module Hobrin
  module Services
    # The brief: read, checked, signed and shared.
    module Act
      # The brief, with every number counted now.
      class ReadBrief < Service
        # opened :: OpenInquiry. Gives a Brief.
        def call(opened)
          inquiry = opened.inquiry
          search = Brief::SearchLines.new(question: inquiry.question, cascade: opened.cascade,
                                          evaluator: @context.evaluator)
          Brief.new(question: inquiry.question, lines: search.call, cql: search.cql, flow: flow(opened),
                    rows: rows(inquiry),
                    conclusion: inquiry.conclusion, plan: inquiry.plan, searched_on: @context.clock.today,
                    elsewhere: inquiry.elsewhere)
        end

        # The kept papers as evidence rows, strongest first. ids :: of some of them only
        def rows(inquiry, ids = inquiry.kept_ids)
          weighing, kind = inquiry.weighing, inquiry.question.kind
          rows = @context.library.records_by_id(ids).map { |record| Brief::EvidenceRow.of(record:, weighing:, kind:) }
          rows.sort_by(&:rank)
        end

        private

        def flow(opened)
          cascade = opened.cascade
          threaded = library.set(opened.inquiry.threaded_ids) - cascade.found
          Brief::Flow.of(joined: cascade.joined.size, left: cascade.steps.last&.size || 0,
                         threaded_ids: library.ids(threaded), found_ids: library.ids(cascade.final),
                         decisions: opened.inquiry.decisions, **told(opened))
        end

        # What is said of papers without changing their number.
        def told(opened)
          joined = opened.cascade.joined
          { doubles: library.duplicates.within(joined).size, origins: library.origins.counts(joined.to_a),
            settled: Screen::DualScreening.new(@context, opened.id).settled(opened.inquiry) }
        end

        def library = @context.library
      end

      # What a report of an inquiry is made of, with every number counted now.
      class ReadMaterial
        # More papers than these are cited in files alone: it takes long.
        MOST_CITED = 300

        # style :: key of Exchange::Citation::STYLES, of the references; address :: where it can be
        #   read, or nil; all_cited :: whether every paper is cited, however many there are
        # The block, if any, is told how many references are written, and of how many.
        def initialize(context, style: nil, address: nil, all_cited: false, &progress)
          @context = context
          @all_cited = all_cited
          @progress = progress
          @style = Exchange::Citation::STYLES.key?(style) ? style : Exchange::Citation::STYLES.keys.first
          @address = address
        end

        # opened :: OpenInquiry. Gives an Exchange::Report::Material.
        def call(opened)
          brief = ReadBrief.new(@context).call(opened)
          Exchange::Report::Material.new(
            brief:, acting: opened.inquiry.acting, table: Appraise::Read.new(@context, opened).findings_table,
            references: references(brief.rows.map(&:record)),
            style: Exchange::Citation::STYLES.fetch(@style).first, sample: @context.snapshot.sample?, address: @address
          )
        end

        private

        def references(records)
          return [] if records.size > MOST_CITED && !@all_cited

          Exchange::Citation.all(records, @style) { |done| @progress&.call(done, records.size) }
        end
      end

      # What does not fit together, or is still open, in a brief that is about to be signed off.
      class CheckSignOff < Service
        # opened :: OpenInquiry. Gives an Array of Brief::SignOffCheck::Gap.
        def call(opened)
          brief = ReadBrief.new(@context).call(opened)
          findings = Appraise::Read.new(@context, opened).table
          Brief::SignOffCheck.new(inquiry: opened.inquiry, findings:, evidence: brief.rows, flow: brief.flow, **colleagues(opened)).call
        end

        private

        def colleagues(opened)
          screening, appraisal = [Screen::DualScreening, Appraise::DualAppraisal].map { |service| service.new(@context, opened.id) }
          { differences: { screening: unresolved(screening), appraisal: unresolved(appraisal) },
            waiting: appraisal.unweighed(opened.inquiry.kept_ids) }
        end

        def unresolved(two) = two.apart? ? two.overview.open.size : 0
      end

      # Signs a brief off and keeps it as it was then.
      class SignBrief
        # seen :: see ApplyEdit
        def initialize(context, seen: nil)
          @context = context
          @seen = seen
        end

        # name :: of who signs; reason :: why, although something does not fit or is still open
        # Gives an ApplyEdit::Outcome. Raises what ApplyEdit raises, and InputError (:reason) where
        # one is needed.
        def call(id, name, reason: "")
          gaps = CheckSignOff.new(@context).call(Inquiries::Read.new(@context).call(id))
          edit = Edits::Practice::Sign.new(name:, reason:, gaps: gaps.map(&:words))
          outcome = ApplyEdit.new(@context, seen: @seen).call(id, edit)
          material = ReadMaterial.new(@context).call(outcome.opened)
          @context.shared_briefs.keep(id, outcome.line, Exchange::Report::Compose.call(material))
          outcome
        end
      end

      # A read-only address of a brief: opened, taken back, and read by whoever has it.
      class ShareBrief < Service
        # 256 bits: nobody guesses it.
        BYTES = 32
        # After so many days an address may end by itself.
        DAYS = [7, 30, 90, 365].freeze
        TOKEN = /\A[\w-]{43}\z/
        private_constant :BYTES, :TOKEN

        # What somebody with the address reads. report :: Exchange::Report; version :: number of the
        #   signed version, nil while none is signed; newer :: whether work went on since
        class Shared < Value
          attributes :report, :version, :newer
        end

        # Opens an address, in place of any that there was. days :: until it ends by itself, one of
        #   DAYS. Raises GoneError.
        def open(id, days: nil)
          @context.inquiries.find(id)
          take_back(id)
          @context.shared_briefs.share(id, token: SecureRandom.urlsafe_base64(BYTES),
                                           at: @context.clock.now, ends_at: ShareBrief.end_of(@context, days))
        end

        def take_back(id) = @context.shared_briefs.take_back(id, at: @context.clock.now)

        # The address of an inquiry as Store::SharedBriefs::Share, nil where there is none.
        def share(id) = @context.shared_briefs.of(id, at: @context.clock.now)
        def token(id) = share(id)&.token

        # When an address ends that lasts so many days, one of DAYS; nil for never.
        def self.end_of(context, days) = (context.clock.days_ago(-days) if DAYS.include?(days))

        # The last signed version, or the brief as it stands while none is signed. Gives a Shared.
        # Raises GoneError for a token that does not hold: it does not say why.
        def read(token)
          opened = opened(token)
          signed = opened.inquiry.acting.signed
          versions = Versions.new(@context)
          return Shared.new(report: versions.now(opened), version: nil, newer: false) if signed.empty?

          Shared.new(report: versions.report(opened, signed.size), version: signed.size,
                     newer: opened.version > signed.last.line)
        end

        private

        def opened(token)
          share = token.to_s.match?(TOKEN) && @context.shared_briefs.find(token, at: @context.clock.now) or raise GoneError, "brief"
          @context.shared_briefs.used(share, at: @context.clock.now)
          @context = @context.about(share.inquiry_id)
          Inquiries::Open.new(@context, @context.inquiries.find(share.inquiry_id))
        end
      end

      # The kept papers of an inquiry as a file in an open format.
      class ExportEvidence < Service
        # By the ending of the file's name.
        FORMATS = Exchange::FORMATS.values.to_h { |format| [format::EXTENSION, format] }.freeze

        # extension :: "ris", "bib", or "json" for CSL-JSON. Raises GoneError for another one, or an
        #   unknown inquiry.
        def call(id, extension)
          format = FORMATS.fetch(extension) { raise GoneError, "format" }
          saved = @context.inquiries.find(id)
          records = @context.library.records_by_id(saved.inquiry.kept_ids)
          Download.new(name: "hobrin-#{id}-evidence.#{extension}", type: format::TYPE,
                       body: format::Writer.call(records, sample: @context.snapshot.sample?))
        end
      end
    end
  end
end
