# frozen_string_literal: true

module Hobrin
  module Exchange
    module Skos
      # Reads headings from SKOS. The rdf gems do the parsing and are loaded only when they are
      # needed; nothing is fetched from anywhere, whatever the file names.
      class Reader
        # headings :: Array of Thesaurus::Heading; errors, warnings :: Array of String, each naming
        #   the concept
        class Result < Value
          attributes :headings, :errors, :warnings
        end

        NAMES = { turtle: "Turtle", ntriples: "N-Triples", rdfxml: "RDF/XML" }.freeze
        private_constant :NAMES

        # language :: of the labels to read; one without a language counts as in it
        def initialize(language: "en")
          @language = language
          @concepts = Hash.new { |all, uri| all[uri] = Hash.new { |facts, name| facts[name] = [] } }
        end

        # io :: the file; format :: :turtle, :ntriples or :rdfxml. The block, if any, is told how
        #   many statements
        # were read, every thousand. Gives a Result. Raises InputError (:file), with the line, for
        # what is no RDF.
        def call(io, format:, &progress)
          require_gems(format)
          Shape.check(io, format)
          each_statement(io, format, &progress)
          result
        end

        private

        # The gems raise errors of several families, some of them plain; what they say is the
        # reader's only clue.
        def each_statement(io, format)
          count = 0
          statements(io, format).each do |statement|
            yield count if block_given? && (count % 1000).zero?
            count += 1
            take(statement)
          end
        rescue StandardError => e
          said = e.message.lines.first.to_s.strip[0, 200]
          raise InputError, { file: Book.t("exports.skos.not_throughout", format: NAMES.fetch(format), reason: said) }
        rescue SystemStackError
          raise InputError, { file: Book.t("exports.skos.too_deep_for_thesaurus") }
        end

        def require_gems(format)
          require "logger"
          require "rdf"
          require "rdf/rdfxml" if format == :rdfxml
          require "rdf/turtle" if format == :turtle
        end

        def statements(io, format)
          # A logger to nowhere: what is wrong is raised as well.
          options = { base_uri: "urn:hobrin:file", validate: true, logger: Logger.new(nil) }
          options[:library] = :rexml if format == :rdfxml
          RDF::Reader.for(format).new(io, **options).each_statement
        end

        def take(statement)
          subject, predicate, object = statement.to_a.map(&:to_s)
          name = predicate.delete_prefix(CORE)
          return @concepts[subject][:concept] << true if object == "#{CORE}Concept"
          return @concepts[subject][:aspect] << object if predicate == "#{OWN}aspect"
          return @concepts[subject][:created] << object if predicate == CREATED
          return @concepts[subject][:replaced] << object if predicate == REPLACED
          return if name == predicate

          @concepts[subject][name.to_sym] << value(statement.object) if ours?(statement.object)
        end

        def value(object) = object.to_s.unicode_normalize(:nfc).strip

        def ours?(object)
          !object.literal? || !object.language? || object.language.to_s.downcase.split("-").first == @language
        end

        def result
          labelled = concepts
          labels = labelled.transform_values { |facts| facts[:prefLabel].min }
          inverse(:broader, :narrower)
          headings = labelled.map { |uri, facts| heading(uri, facts, labels) }
          integrity = Thesaurus::Integrity.new(headings)
          Result.new(headings:, errors: @errors + integrity.errors, warnings: integrity.warnings)
        end

        # Concepts with a label in our language; broken conditions are noted.
        def concepts
          @errors = []
          labelled = @concepts.select { |_, facts| facts[:prefLabel].any? }
          @concepts.each do |uri, facts|
            if facts[:concept].any? && facts[:prefLabel].empty?
              @errors << Book.t("exports.skos.no_label", heading: uri,
                                                         language: @language)
            end
            next if facts[:prefLabel].uniq.size <= 1

            @errors << Book.t("exports.skos.several_labels", heading: uri, labels: facts[:prefLabel].uniq.sort.join(", "))
          end
          labelled.each_value { |facts| disjoint(facts) }
          labelled
        end

        # A name is preferred, also called or hidden, never two of these.
        def disjoint(facts)
          [%i[prefLabel altLabel], %i[prefLabel hiddenLabel],
           %i[altLabel hiddenLabel]].each do |one, two|
            (facts[one] & facts[two]).each do |name|
              @errors << Book.t("exports.skos.both", heading: facts[:prefLabel].min, name:, one:, other: two)
            end
          end
        end

        # What is said of the narrower one counts for the broader one.
        def inverse(upward, downward)
          @concepts.to_a.each do |uri, facts|
            facts[downward].each { |below| @concepts[below][upward] |= [uri] }
          end
        end

        def heading(uri, facts, labels)
          label = labels[uri]
          Thesaurus::Heading.new(
            label:, also_called: (facts[:altLabel] | facts[:hiddenLabel]).sort - [label], **others(facts, labels),
            definition: (facts[:definition] + facts[:scopeNote]).first.to_s,
            aspects: facts[:aspect].sort, notation: facts[:notation].first,
            added: facts[:created].first.to_s[/\A\d{4}/]&.to_i, uri: uri.start_with?(HEADING) ? nil : uri
          )
        end

        # The headings that one names, by their labels.
        def others(facts, labels)
          { broader: :broader, related: :related,
            use_instead: :replaced }.transform_values do |name|
            facts[name].uniq.map { |uri| labels.fetch(uri, uri) }.sort
          end
        end
      end
    end
  end
end
