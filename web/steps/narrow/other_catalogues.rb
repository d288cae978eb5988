# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # The same search in other catalogues: which there are, how one would be asked, and what
        # each gave.
        class OtherCatalogues
          include Formatting

          # A line of the search for one catalogue. here, there :: counts as text, "" where there is
          #   none; own :: whether it has a text of its own, that can be changed; text :: for the
          #   catalogue; notes :: Array of what became of it; effect :: what that does here, or nil
          class Row < Value
            attributes :number, :kind, :name, :here, :there, :own, :text, :notes, :effect
          end

          # The lines of one block, folded up under its name; block :: its own Row, nil for the lines
          # that stand open: limits and the whole.
          class Group < Value
            attributes :block, :rows

            def name = block ? block.name : Book.t("narrow.elsewhere.limits_and_whole")

            # Lines that are not asked as they stand here.
            def changed = rows.count { |row| row.notes.any? }
          end

          # What a catalogue gave; cells :: Array of texts, in the order of COLUMNS
          class Given < Value
            attributes :name, :cells, :state
          end

          COLUMNS = %i[searched_on found_there imported also_found also_elsewhere only_here].freeze

          # chosen :: the catalogue that is looked at, nil where there is none; crossed_out :: labels of the terms that
          # are crossed out; texts :: [name, text] of the search to copy
          attr_reader :chosen, :crossed_out, :texts

          # given :: what each catalogue gave, as Array of Given; feed :: the link to new papers as
          # Store::SharedBriefs::Share, or nil
          attr_reader :given, :feed

          # page :: Web::Steps::Narrow::Page; context :: Services::Context
          def initialize(page, context)
            @page = page
            reading = Services::Narrow::OtherCatalogues::Read.new(context, page.opened, crossed_out: crossed_out?)
            @sources = reading.askable
            @chosen = @sources.find { |source| source.id == page.fields.number(:source) } || @sources.first
            @crossed_out = reading.crossed_out_terms.map(&:label)
            @texts = reading.texts.map { |key, text| [Book.t("narrow.elsewhere.text.#{key}"), text] }.reject { |_, text| text.empty? }
            @plan = reading.plan(chosen, texts: page.errors.any? ? typed : before(reading)) if chosen
            given = reading.given
            @bringing = given.any? { |catalogue| catalogue.import&.waiting? }
            @given = given.map { |catalogue| told(catalogue) }
            @feed = Services::Catalogues::Feed.new(context).share(page.id)
            freeze
          end

          # Whether terms that are crossed out are asked for, too; where that is changed.
          def crossed_out? = @page.fields.checked?(:crossed_out)

          def path_to_crossed_out
            @page.path(:narrow, show: "elsewhere", source: chosen.id, crossed_out: crossed_out? ? nil : "yes")
          end

          def none? = @sources.empty?

          # [name, address of its page, whether it is the chosen one]
          def choices = @sources.map { |source| [source.name, path(source), source == chosen] }

          def query = @plan.query

          # Array of Group, in the order of the lines.
          def groups
            rows = @plan.lines.map { |line| row(line) }
            rows.slice_when { |before, _| before.kind == :block }.map do |lines|
              Group.new(block: lines.find { |line| line.kind == :block }, rows: lines)
            end
          end

          def changed = @plan.lines.count { |line| line.notes.any? }

          # What the chosen catalogue was asked last, as Narrowing::State::ExternalSearch, or nil.
          def asked = @page.inquiry.elsewhere.find { |search| search.source == chosen.name }

          # Whether what would be asked now is no longer what was asked.
          def stale? = asked.query != query

          def most = [asked.count, Services::Narrow::OtherCatalogues::Ask::MOST].min
          def typed_most = @page.typed_or(:most, [most, 200].min.to_s)

          # Whether anything is about to be brought in, so that the page asks again by itself.
          def bringing? = @bringing
          def own_path = path(chosen)
          def feed_path = feed && @page.path("feed/#{feed.token}")

          # What it can do, in words.
          def ability
            can = chosen.ability
            parts = { headings: can.index?("dc.subject"), phrases: can.relation?(can.anywhere, "adj"), truncation: can.masks.any?,
                      proximity: can.near, years: can.index?("dc.date"), study_types: can.index?("dc.type") }
            can, cannot = parts.keys.partition { |name| parts[name] }
            [can, cannot].map { |names| names.map { |name| Book.t("narrow.elsewhere.ability.#{name}") } }
          end

          private

          def path(source) = @page.path(:narrow, show: "elsewhere", source: source.id, crossed_out: crossed_out? ? "yes" : nil)

          def typed = Forms::ElsewhereForm.new(@page.fields).texts

          # What a person changed by hand the last time stays, while the lines are still the same.
          def before(reading)
            return {} unless asked

            fresh = reading.plan(chosen)
            same = fresh.lines[0...-1].map(&:name) == asked.lines.map(&:name)
            return {} unless same

            fresh.lines.zip(asked.lines).to_h { |line, before| [line.number, (before.text if before&.by_hand)] }.compact
          end

          def row(line)
            Row.new(number: line.number, kind: line.kind, name: line.name,
                    here: number(line.here), own: line.own?,
                    there: there(line), text: line.there, notes: line.notes, effect: effect(line))
          end

          def there(line)
            return "" unless asked && !stale?

            count = line.kind == :whole ? asked.count : asked.lines[line.number - 1]&.count
            count ? number(count) : ""
          end

          def effect(line)
            return if line.wider.nil? || line.notes.empty?

            said = [*(Book.t("narrow.elsewhere.wider", papers: line.wider) if line.wider.positive?),
                    *(Book.t("narrow.elsewhere.narrower", papers: line.lost) if line.lost.positive?)]
            said.empty? ? Book.t("narrow.elsewhere.same") : Book.t("narrow.elsewhere.effect_here", papers: said.join(", "))
          end

          def state_of(import)
            key = "narrow.elsewhere.state.#{import.state.tr(" ", "_")}" if import
            Book.t(key) if key && Book.has?(key)
          end

          def told(one)
            search = one.search
            cells = [search.on, number(search.count), number(one.given), number(one.found),
                     number(one.doubles), number(one.only)]
            Given.new(name: search.source, cells:, state: state_of(one.import))
          end
        end
      end
    end
  end
end
