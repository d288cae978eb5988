# frozen_string_literal: true

module Hobrin
  module Services
    # The library: what it holds, searched and explained, and what people settle in it.
    module Library
      # What the library holds, and what came into it.
      class Read < Service
        # papers, doubles, unindexed, headings :: numbers; years :: Hash of year to papers
        # imports :: Array of Store::Library::Imports::Import, the last first; sample :: whether any is made up
        # sources :: Array of Store::Library::Sources::Source; origins :: Hash of where papers are from, by the
        #   name of file or catalogue, to how many, the most first
        class Overview < Value
          attributes :papers, :doubles, :unindexed, :headings, :years, :imports, :sample, :sources,
                     :origins
        end

        # Gives an Overview.
        def call
          library = @context.library
          index = @context.evaluator.index
          years = index.sets(:year).transform_keys(&:to_i).transform_values(&:size).sort.to_h
          Overview.new(papers: @context.snapshot.size, sample: @context.snapshot.sample?, years:,
                       doubles: library.duplicates.count, unindexed: index.not_indexed.size,
                       headings: @context.thesaurus.headings.size, imports: library.imports.all,
                       sources: library.sources.all,
                       origins: library.origins.all(@context.snapshot.size))
        end

        # Array of Store::Library::Thesauri::Kept.
        def thesauri = @context.library.thesauri.all

        # The label of the heading that is called so in other letters, nil for none.
        def heading_for(name) = @context.thesaurus.named(name)&.label

        # Array of Store::Library::HeadingMatches::Match.
        def matches = @context.library.matches.all

        # Names of all headings, for choosing one.
        def headings = @context.thesaurus.headings.map(&:label).sort

        # Names that the thesaurus lacks, of one import: Hash of name to records.
        def strange(id) = @context.library.imports.headings(id)

        # Gives a Download: the entries of a file that were refused, with place and reason.
        # Raises GoneError.
        def refusals(id)
          import = @context.library.imports.find(id)
          rows = @context.library.imports.refusals(id).map do |refusal|
            [refusal.place, refusal.line,
             refusal.reason]
          end
          sheet = Exchange::Tables::Sheet.new(name: "Refused", columns: %w[Entry Line Reason],
                                              rows:)
          Download.new(name: "hobrin-refused-#{import.id}.csv", type: Exchange::Tables::Csv::TYPE,
                       body: Exchange::Tables::Csv.call(sheet))
        end
      end

      # Runs a search that is written as CQL, beside any inquiry or after the lines of one.
      class Search < Service
        # tree :: what was read; set :: the RecordSet that it finds
        class Found < Value
          attributes :tree, :set

          def size = set.size
          def cql = Strategy::Cql.write(tree)
        end

        SLICE = 500
        private_constant :SLICE

        # cql :: String; inquiry_id :: whose trail's lines cql.resultSetId names, or nil
        # Raises InputError (:cql, :line), and GoneError for an unknown inquiry.
        def call(cql, inquiry_id: nil)
          tree = Strategy::Cql.read(cql, @context.vocabulary)
          tree = trees(inquiry_id).resolve(tree)
          Found.new(tree:, set: @context.evaluator.call(tree))
        end

        # The records found, newest first.
        def records(found, limit: nil)
          @context.library.newest(found.set, limit: limit || found.size)
        end

        # The same one after the other, for more than memory should hold.
        def each_record(found, limit: nil, &block)
          return enum_for(:each_record, found, limit:) unless block

          ids(found, limit:).each_slice(SLICE) do |some|
            @context.library.records_by_id(some).each(&block)
          end
        end

        def ids(found, limit: nil) = @context.library.ids(found.set, limit:)

        private

        def trees(inquiry_id)
          return Strategy::Lines.new({}) unless inquiry_id

          saved = @context.inquiries.find(inquiry_id)
          Surroundings.new(@context, saved).trail.lines(saved.inquiry)
        end
      end

      # Why a search finds a paper, or why it does not.
      class ExplainPaper < Service
        # record :: the Record; found :: whether the search finds it
        # reasons :: Array of Retrieval::Reasons::Reason when it does; missing :: Array of trees that
        #   it lacks when not
        class Explanation < Value
          attributes :record, :found, :reasons, :missing
        end

        # id :: of the record, or its DOI; tree :: what is searched. Raises GoneError for an unknown
        #   paper.
        def call(id, tree)
          number = @context.library.number(id) || @context.evaluator.call(Strategy::Identifier.read(id)).first
          raise GoneError, "paper" unless number

          record = @context.library.numbered(number)
          reasons = Retrieval::Reasons.new(@context.evaluator)
          found = @context.evaluator.call(tree).include?(number)
          Explanation.new(record:, found:, reasons: reasons.call(tree, number, record),
                          missing: reasons.missing(tree, number))
        end
      end

      # Says which heading a name from outside stands for. Papers that are here get the heading in the
      # background; those that come in later get it at once.
      class MatchHeading < Service
        # name :: a keyword or heading as files have it; label :: any name of a heading
        # Raises InputError (:label).
        def call(name, label)
          heading = @context.thesaurus.heading(label.strip) || @context.thesaurus.named(label.strip)
          raise InputError, { label: Book.t("errors.library.not_a_heading", label: label.strip[0, 80]) } unless heading
          raise InputError, { label: Book.t("errors.library.which_keyword") } if Text::Tokens.line(name).empty?

          @context.library.matches.write(name, heading.label)
          Imports::WakeWorker.new(@context).call
        end

        # A name stands for nothing any more: papers get it back as they had it. Raises GoneError.
        def take_back(name)
          raise GoneError, "match" unless @context.library.matches.let_go(name)

          Imports::WakeWorker.new(@context).call
        end
      end

      # Records that look like the same paper: shown side by side, said to be two, or the same after
      # all.
      class SettleDuplicates
        # number :: of the later record; one, other :: Records::Record, the first first
        class Pair < Value
          attributes :number, :first, :one, :other
        end

        # So many pairs are given at once.
        MOST = 50

        def initialize(context)
          @library = context.library
        end

        # Those that are linked, after a number: Array of Pair.
        def linked(after: 0) = pairs(@library.duplicates.pairs(limit: MOST, after:))

        # Those that were said to be two.
        def parted = pairs(@library.duplicates.parted(limit: MOST))

        # Raises GoneError.
        def part(number) = @library.duplicates.part(number)
        def join(one, two) = @library.duplicates.join(one, two)

        private

        def pairs(numbers)
          numbers.filter_map do |first, number|
            one, other = [first, number].map { |each| @library.numbered(each) }
            Pair.new(number:, first:, one:, other:) if one && other
          end
        end
      end
    end
  end
end
