# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Something that several experience studies found, in one sentence, and which papers speak for
    # it or against it.
    #
    # id :: Integer from 1; text :: the finding
    # support :: Hash of record id to Voice; judgements :: Hash of a component of
    #   Appraisal::Finding::Confidence to
    #   Outcome::Judgement
    class Finding < Value
      attributes :id, :text, :support, :judgements

      # What a paper says to a finding: speaks :: :for or :against; words :: the sentence that says
      #   it
      class Voice < Value
        attributes :speaks, :words

        WAYS = Book.names("appraisal.finding.speaks", %i[for against])

        def initialize(speaks:, words: "")
          @speaks = speaks.to_s.to_sym
          @words = words.to_s.strip.freeze
          raise InputError, { support: Book.t("appraisal.finding.errors.support") } unless WAYS.key?(@speaks)

          FieldLengths.check(:finding_sentence, @words, at: :support)
          freeze
        end
      end

      # Raises InputError naming the field.
      def initialize(id:, text:, support: {}, judgements: {})
        @id = id
        @text = text.to_s.strip.freeze
        @support = support.to_h.freeze
        @judgements = judgements.to_h.freeze
        raise InputError, { text: Book.t("appraisal.finding.errors.text") } if @text.empty?

        FieldLengths.check(:finding, @text, at: :text)
        freeze
      end

      # Ids of the papers that speak one way.
      def ids(speaks) = support.select { |_, voice| voice.speaks == speaks }.keys

      # How far a finding of experience studies can be relied on, by the four components of CERQual
      # (Lewin et al., Implement Sci 2018;13 Suppl 1:2; from memory): begins high, goes down for each.
      # What is proposed comes from numbers that the reason names; where each begins is common
      # practice, no source.
      class Confidence < Value
        # component :: Symbol; proposed :: steps, −2 to 0; why :: a sentence; judgement ::
        #   Outcome::Judgement or nil
        class Line < Value
          attributes :component, :proposed, :why, :judgement

          def steps = judgement ? judgement.steps : proposed
        end

        attributes :lines, :level

        COMPONENTS = Book.names("appraisal.finding.component", %i[method relevance coherence adequacy])

        def word = Certainty::LEVELS.fetch(level)

        class << self
          # finding :: Finding; papers :: Array of Paper that it names; kind :: of the question, or
          #   nil
          def of(finding, papers, kind:)
            lines = Components.new(finding, papers, kind).call.map do |component, (steps, why)|
              Line.new(component:, proposed: steps, why:, judgement: finding.judgements[component])
            end
            new(lines:, level: (4 + lines.sum(&:steps)).clamp(1, 4))
          end
        end
      end

      # What is proposed for each component of Confidence.
      class Components
        # So many papers with their own words are enough.
        ENOUGH = 3
        private_constant :ENOUGH

        def initialize(finding, papers, kind)
          @finding = finding
          @kind = kind
          @for = papers.select { |paper| finding.support[paper.record_id]&.speaks == :for }
          @against = finding.ids(:against).size
        end

        # Gives a Hash of component to [steps, why].
        def call = { method:, relevance:, coherence:, adequacy: }

        private

        def method
          levels = @for.map { |paper| paper.concern(@kind) }
          high, silent = [levels.count(:high), levels.count(nil)]
          [share(high), Book.t("appraisal.finding.#{silent.zero? ? "method" : "method_unanswered"}", high:, all: @for.size, silent:)]
        end

        def relevance
          far = @for.count { |paper| paper.near == :far }
          [share(far), Book.t("appraisal.finding.relevance", different: far, all: @for.size)]
        end

        # Down by one from a quarter on that say otherwise, by two from a half on.
        def coherence
          all = @for.size + @against
          steps = if @against * 2 >= all && all.positive? then -2
                  else @against * 4 >= all && @against.positive? ? -1 : 0
                  end
          [steps, Book.t("appraisal.finding.coherence", against: @against, all:)]
        end

        def adequacy
          told = @for.count { |paper| !@finding.support[paper.record_id].words.empty? }
          steps = @for.size < ENOUGH || told < ENOUGH ? -1 : 0
          steps = -2 if @for.size < 2
          [steps, Book.t("appraisal.finding.adequacy", count: @for.size, quoted: told, enough: ENOUGH)]
        end

        # Down by one where more than half are, by two where all of two or more are.
        def share(count)
          return 0 if @for.empty? || count * 2 <= @for.size

          count == @for.size && count > 1 ? -2 : -1
        end
      end
    end
  end
end
