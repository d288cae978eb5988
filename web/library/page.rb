# frozen_string_literal: true

module Hobrin
  module Web
    module Library
      # The library: what it holds, and the files that came in.
      class Page < Web::Page
        # An import: says :: what it did, in words; part :: how much of the file is read, of 100, nil
        #   when it is at rest; presses :: Array of [what it does, name]; strange :: Array of
        #   [heading, records]
        class Row < Value
          attributes :id, :name, :begun, :state, :says, :part, :presses, :refused_path, :strange,
                     :message, :back_path
        end

        MOST_STRANGE = 40
        MOST_CHOOSABLE = 3_000
        MOST_ORIGINS = 12
        private_constant :MOST_STRANGE, :MOST_CHOOSABLE, :MOST_ORIGINS

        # A name that the thesaurus lacks and a heading that its papers are given: typed :: the heading that is offered
        #   for the name, or what was typed and refused
        class Strange < Value
          attributes :name, :records, :typed
        end

        # A change of what all inquiries share: undone :: what is said of one that was undone, or nil
        class Shared < Value
          attributes :id, :says, :at, :undone
        end

        # thesauri :: Array of Store::Library::Thesauri::Kept, where there is anything to choose
        # allowed :: which addresses may be asked, as who runs this Hobrin wrote them
        # choosable :: what headings there are to choose from; none where they are too many for a list
        attr_reader :thesauri, :allowed, :choosable

        # rows :: the imports as Array of Row; matches :: Array of [name, heading, what became of it, whether it goes
        # already]; shared :: Array of Shared, the last first, none for who may not undo them
        attr_reader :rows, :matches, :shared

        # asked :: the import that is asked about before it is taken back, nil for none; losing :: which inquiries would
        # lose papers then, as Services::Imports::Change::Losses
        attr_reader :asked, :losing

        # fields :: Fields, where `back` names the import that is about to be taken back
        def initialize(context:, fields:, errors: {})
          super(errors:)
          @fields = fields
          @allowed = context.allowed.to_a
          read_holdings(Services::Library::Read.new(context))
          house = Services::ChangeHouse.new(context)
          @keeps = house.may?
          @shared = keeps? ? house.last.map { |change| shared_change(change) } : []
          @asked = rows.find { |row| row.id == fields.number(:back) && row.back_path }
          @losing = Services::Imports::Change.new(context).losing(asked.id) if asked
          freeze
        end

        def sample? = @overview.sample
        def papers = count_of(@overview.papers, "paper")
        def empty? = @overview.papers.zero?
        def working? = @working

        # [number, what it is, where it is shown or nil]
        def facts
          [[@overview.papers, Book.t("library.page.papers")], [@overview.unindexed, Book.t("library.page.without_headings")],
           [@overview.doubles, Book.t("library.page.possible_duplicates"), "/library/doubles"],
           [@overview.headings, Book.t("library.page.headings")]]
        end

        # The catalogues that can be asked: Array of Store::Library::Sources::Source.
        def catalogues = @overview.sources

        # What was typed into the form for a catalogue, when it was refused.
        def typed(name) = errors.any? ? @fields.text(name) : ""

        def protocols
          { "sru" => Book.t("library.catalogues.searched"), "oai" => Book.t("library.catalogues.harvested") }.map do |value, name|
            [value, name, typed(:protocol) == value]
          end
        end

        # Whether who is here looks after the library.
        def keeps? = @keeps

        # Where the papers are from: [name, papers, of a hundred], the most first.
        def origins
          @overview.origins.first(MOST_ORIGINS).map do |name, count|
            [name, count, (100.0 * count / [@overview.papers, 1].max).round(1)]
          end
        end

        def years = @overview.years
        def span = [years.keys.first, years.keys.last]
        def headings? = @overview.headings.positive?
        def refused_match? = errors.key?(:label)

        # Of inquiries that who asks may not read, only how many there are.
        def others_losing
          others = losing.others
          Book.t("library.imports.other_wards", count: others)
        end

        private

        # reading :: Services::Library::Read
        def read_holdings(reading)
          @overview = reading.call
          thesauri = reading.thesauri
          @thesauri = thesauri.size > 1 ? thesauri : []
          @choosable = @overview.headings > MOST_CHOOSABLE ? [] : reading.headings
          matches = reading.matches
          @working = @overview.imports.any?(&:waiting?) || matches.any?(&:waiting?)
          @matches = matches.map { |match| [match.name, match.label, Book.t("library.imports.mapping_state.#{match.state}"), match.going?] }
          @rows = @overview.imports.map { |import| row(import, strange(import, reading)) }
        end

        def shared_change(change)
          undone = change.undone_at && Book.t("library.changes.undone_by", person: change.undone_by, time: day_and_time(change.undone_at))
          Shared.new(id: change.id, says: Book.t("library.changes.of.#{change.kind}", name: change.key),
                     at: "#{change.who}, #{day_and_time(change.at)}", undone:)
        end

        def row(import, strange)
          Row.new(id: import.id, name: import.name, begun: day_and_time(import.begun_at),
                  state: state(import), says: says(import), part: part(import),
                  presses: presses(import), message: (import.message unless import.format == "skos"), strange:,
                  refused_path: refused_path(import), back_path: back_path(import))
        end

        # What was cut off before its end is there in part.
        def state(import)
          state = import.state == "failed" && import.entries.positive? ? "partial" : import.state.tr(" ", "_")
          Book.t("library.imports.state.#{state}")
        end

        def refused_path(import)
          "/library/imports/#{import.id}/refused.csv" if import.refused.positive?
        end

        def says(import)
          return import.message if import.format == "skos"

          others = { known: import.known, duplicates: import.duplicates, rejected: import.refused }.select { |_, count| count.positive? }
          [Book.t("library.imports.new_papers", count: import.added),
           *others.map { |key, papers| Book.t("library.imports.#{key}", papers:) }].join(", ")
        end

        def part(import)
          return unless import.waiting?

          done = import.source_id ? import.entries : import.at_byte
          (100 * done / [import.size, 1].max).clamp(0, 100)
        end

        def presses(import)
          return [["stop", Book.t("library.imports.stop")]] if import.waiting?

          %w[stopped failed].include?(import.state) ? [["go", Book.t("library.imports.resume")]] : []
        end

        def back_path(import)
          ended = %w[done stopped failed].include?(import.state)
          "/library?back=#{import.id}" if ended && import.added.positive?
        end

        def strange(import, reading)
          return [] unless import.state == "done" && headings?

          reading.strange(import.id).except(*matches.map(&:first)).first(MOST_STRANGE).map do |name, records|
            Strange.new(name:, records:, typed: typed_label(name, reading))
          end
        end

        # What was typed for a name and refused, or else the heading that is called so in other letters; "" for none.
        def typed_label(name, reading)
          return @fields.text(:label) if errors.key?(:label) && @fields.text(:name) == name

          reading.heading_for(name).to_s
        end
      end
    end
  end
end
