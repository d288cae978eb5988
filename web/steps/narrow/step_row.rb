# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # One step of the cascade: a block or a limit, what it leaves and what it took away.
        class StepRow
          include Formatting

          MOST_NAMED = 3
          private_constant :MOST_NAMED

          # A button of the step: value :: what it sends; name :: in full, for who cannot see where
          #   it stands
          class Tool < Value
            attributes :value, :icon, :says, :name
          end

          # Narrowing::Cascade::Step
          attr_reader :step

          # page :: Narrow; steps :: all of them; place :: of this one
          def initialize(page, step, steps, place)
            @page = page
            @step = step
            @above = place.positive? ? steps[place - 1] : nil
            @below = steps[place + 1]
            freeze
          end

          def block? = step.block?
          def on? = step.on
          def size = step.size
          def removed = step.removed.size

          # How an address names it, whatever its place is.
          def name = block? ? "block-#{step.source.key}" : "limit-#{step.source.slot}"

          def path = @page.path(opened: name)

          def form_path
            @page.path(block? ? "blocks/#{step.source.key}" : "limits/#{step.source.slot}")
          end

          def open? = @page.open_row&.name == name

          # Whether it took anything away that can be looked at.
          def opens? = !@above.nil? && on?

          def tone = super(step.source.key)
          def letter = @page.letter(step.source.key)

          # What kind of limit it is.
          def heading = Narrowing::AppliedLimit::Wording::NAMES.fetch(step.source.name)

          def label = block? ? block_label : Narrowing::AppliedLimit::Wording.of(step.source.leaf)

          # As `label`, with a long list of values cut after the third.
          def short_label
            return label unless values.size > MOST_NAMED && values != Records::AgeGroups::ADULTS

            Book.t("narrow.cascade.values_and_more", values: values.first(MOST_NAMED).join(", ").capitalize, more: values.size - MOST_NAMED)
          end

          def colour = "ink of-#{block? ? tone : "limit"}"

          # For its bar: what it leaves, what the next one leaves, the largest of all.
          def bar = [size, @below&.size, @page.largest]

          def tools = [switch, (up if movable?), (off unless block?)].compact

          # Why papers that say nothing are gone. silence :: Narrowing::Previews::Silences::Silence
          def unstated(silence)
            state = Book.t("narrow.cascade.silent.#{step.source.name}")
            facts = { papers: silence.papers, removed:, step: short_label, state: }
            return Book.t("narrow.cascade.unstated", **facts) if silence.not_indexed.zero?

            Book.t("narrow.cascade.unstated_and_not_indexed", **facts, not_indexed: silence.not_indexed)
          end

          private

          def values
            !block? && step.source.leaf.is_a?(Strategy::Limit) ? step.source.leaf.values : []
          end

          def block_label
            name = @page.question.element(step.source.key).name
            step.source.operator == :not ? Book.t("narrow.cascade.negated", step: name) : name[0].upcase + name[1..]
          end

          def switch
            way, icon = on? ? %w[off toggle-on] : %w[on toggle-off]
            Tool.new(value: "switch", icon:, says: Book.t("narrow.cascade.switch"),
                     name: Book.t("narrow.cascade.switch_named", step: label, way:))
          end

          def up
            Tool.new(value: "up", icon: "arrow-up", says: Book.t("narrow.cascade.up"),
                     name: Book.t("narrow.cascade.move_up", step: label))
          end

          def off
            Tool.new(value: "remove", icon: "x-lg", says: Book.t("narrow.cascade.remove"),
                     name: Book.t("narrow.cascade.remove_named_step", step: label))
          end

          # Whether one of its kind stands above it.
          def movable? = !@above.nil? && kind_of_step(@above) == kind_of_step(step)
          def kind_of_step(one) = one.block? ? one.source.operator : :limit

          # The card of what one step took away: its papers, in one of two orders.
          class TakenAway
            include Formatting

            ORDERS = %i[newest strongest].freeze
            FEW = 8
            MANY = 40
            private_constant :ORDERS, :FEW, :MANY

            # An order to choose: path :: the address of the card in it
            class Order < Value
              attributes :name, :path, :chosen
            end

            # page :: Page; row :: StepRow; reader :: Services::Narrow::Read
            def initialize(page, row, reader)
              @page = page
              @row = row
              @read = reader.taken_away(row.step, order:, limit: more? ? MANY : FEW)
              freeze
            end

            def title = Book.t("narrow.cascade.removed", step: @row.short_label, papers: count_of(total, "paper"))
            def records = @read.records
            def total = @read.total
            def cut? = total > records.size
            def close_path = @page.path

            def orders
              ORDERS.map do |order|
                Order.new(name: Book.t("narrow.cascade.order.#{order}"), path: here(order:), chosen: order == self.order)
              end
            end

            # The address with more of them, nil when they are there already.
            def more_path = (here(order:, more: "yes") if cut? && !more?)

            # What keeps the card open when a paper of it is pressed.
            def keep = { opened: @row.name, order: }

            def included?(record) = @page.inquiry.included_ids.include?(record.id)
            def facts(record) = "#{record.year} · #{record.types.first || Book.t("narrow.cascade.type_not_stated")}"

            private

            def order = @page.fields.one_of(:order, ORDERS) || :newest
            def more? = @page.fields.text(:more) == "yes"
            def here(**query) = @page.path(opened: @row.name, **query)
          end
        end
      end
    end
  end
end
