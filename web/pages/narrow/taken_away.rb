# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Narrow
        # The card of what one step took away: its papers, in one of two orders.
        class TakenAway
          include Formatting

          ORDERS = { newest: "newest first", strongest: "strongest design first" }.freeze
          FEW = 8
          MANY = 40
          private_constant :ORDERS, :FEW, :MANY

          # An order to choose: path :: the address of the card in it
          class Order < Value
            attributes :name, :path, :chosen
          end

          # page :: Narrow; row :: StepRow
          def initialize(page, row)
            @page = page
            @row = row
          end

          def title = "“#{@row.short_label}” took away #{count_of(total, "paper")}"
          def records = read.records
          def total = read.total
          def cut? = total > records.size
          def close_path = @page.path

          def orders
            ORDERS.map do |order, name|
              Order.new(name:, path: here(order:), chosen: order == self.order)
            end
          end

          # The address with more of them, nil when they are there already.
          def more_path = (here(order:, more: "yes") if cut? && !more?)

          # What keeps the card open when a paper of it is pressed.
          def keep = { opened: @row.name, order: }

          def included?(record) = @page.inquiry.included_ids.include?(record.id)
          def facts(record) = "#{record.year} · #{record.types.first || "study type not stated"}"

          private

          def order = @page.fields.one_of(:order, ORDERS.keys) || :newest
          def more? = @page.fields.text(:more) == "yes"
          def here(**query) = @page.path(opened: @row.name, **query)
          def read = @read ||= @page.reader.taken_away(@row.step, order:, limit: more? ? MANY : FEW)
        end
      end
    end
  end
end
