# frozen_string_literal: true

module Hobrin
  module Services
    module Catalogues
      # Answers who searches this library over SRU: every search that the command line takes, and the
      # lines of inquiries as result sets ("1:P" is line P of inquiry 1).
      class AnswerSru
        MOST = 500
        MOST_TERMS = 200
        PATH = "sru"
        BEYOND = %w[adj all any == within >= <=].freeze
        INDEXES = (Strategy::Cql.indexes - ["cql.resultSetId"]).map(&:downcase).freeze
        # What this library can do, for its explain record.
        ABILITY = Catalogue::Ability.new(
          title: Book.t("errors.catalogues.library_title"), about: Book.t("errors.catalogues.library_about"),
          version: "2.0",
          indexes: INDEXES.to_h { |name| [name, BEYOND] }, masks: %w[* ?], near: true,
          modifiers: %w[hobrin.narrower hobrin.main hobrin.aspect], schemas: %w[dc mods marcxml],
          most: MOST
        )
        # The numbers of SRU for what can be wrong with a search.
        NUMBERS = { index: 16, relation: 19, modifier: 20, boolean: 46, order: 80 }.freeze
        SCANNED = { "dc.type" => :type, "dc.language" => :language, "hobrin.journal" => :journal,
                    "hobrin.place" => :place, "dc.date" => :year }.freeze
        LINE = /\A(\d{1,15}):(.+)\z/m
        private_constant :MOST_TERMS, :BEYOND, :INDEXES, :NUMBERS, :SCANNED, :LINE

        # ability :: Catalogue::Ability; a smaller one answers less
        # lines :: whether who asks may name lines of inquiries: nobody who did not sign in, where
        #   people sign in
        def initialize(context, ability: ABILITY, lines: true)
          @context = context
          @ability = ability
          @lines = lines
        end

        # params :: Hash of String to String; host, port, path :: where this answers. Gives XML.
        #   Nothing that is sent raises: what is wrong is told in the answer.
        def call(params, host:, port:, path: PATH)
          version = Catalogue::Sru::Question.version_of(params)
          writer = Catalogue::Sru::Writer.new(version)
          question = nil
          question = Catalogue::Sru::Question.read(params)
          case question.operation
          when :explain then writer.explain(Catalogue::Sru::Explain.write(@ability, host:, port:,
                                                                                    path:))
          when :scan then writer.scanned(scan(question))
          else search(question, writer)
          end
        rescue Catalogue::Sru::Diagnostic::Told => e
          writer.trouble(e.diagnostic,
                         question&.operation || (params.key?("query") ? :search : :explain))
        end

        private

        def search(question, writer)
          found = found(question.query)
          tell(61, question.from.to_s) if question.from < 1 || (question.from > found.size && found.any?)
          most = [question.most, @ability.most].min
          records = @context.library.newest(found,
                                            limit: question.from - 1 + most).drop(question.from - 1)
          writer.found(found.size, records, question, sample: @context.snapshot.sample?)
        end

        def found(cql)
          tree = resolved(Strategy::Cql.read(cql, @context.vocabulary))
          refuse_more(tree)
          @context.evaluator.call(tree)
        rescue Strategy::Cql::Error => e
          tell(NUMBERS.fetch(e.about, 10), e.message)
        rescue InputError, GoneError => e
          tell(e.is_a?(InputError) && !e.errors.key?(:line) ? 10 : 51, e.message)
        end

        # A translation for what this answers must be the same search.
        def refuse_more(tree)
          return if @ability.equal?(ABILITY)

          part = Catalogue::Translation.new(ability: @ability,
                                            evaluator: @context.evaluator).call(tree)
          tell(16, part.notes.first) unless part.same?
        end

        # With lines of inquiries as what they stand for.
        def resolved(tree)
          lines = Strategy::Lines.names(tree).to_h { |name| [name, line(name)] }
          lines.empty? ? tree : Strategy::Lines.new(lines).resolve(tree)
        end

        def line(name)
          match = LINE.match(name)
          tell(51, name) unless match && @lines
          Permit.new(@context).inquiry(:reads, match[1].to_i)
          saved = @context.inquiries.find(match[1].to_i)
          Surroundings.new(@context, saved).trail.resolve(Strategy::Lines::Line.new(name: match[2]),
                                                          saved.inquiry)
        end

        # Values of an index from a term on, in their order.
        def scan(question)
          index, term = question.query.split(/\s*(?:==|=|exact)\s*/, 2)
          name = SCANNED.fetch(index.to_s.strip.downcase) { tell(16, index.to_s) }
          tell(120, question.from.to_s) if question.from > question.most + 1
          values = values(name)
          at = values.index { |value, _| plain(value) >= plain(term.to_s) } || values.size
          values.drop([at - question.from + 1, 0].max).first([question.most, MOST_TERMS].min)
        end

        def values(name)
          @context.evaluator.index.sets(name).transform_values(&:size).sort_by do |value, _|
            plain(value)
          end
        end

        def plain(text) = Text::Tokens.line(text)

        def tell(number, details) = Catalogue::Sru::Diagnostic.tell(number, details)
      end
    end
  end
end
