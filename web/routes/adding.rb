# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # What a form on Word adds to a block: an offer that was pressed, several that were ticked, a list, or what was
      # typed, read as the person left it.
      class Adding
        NAMES = %i[heading words author journal].freeze
        private_constant :NAMES

        def initialize(service, id, fields)
          @service = service
          @id = id
          @key = fields.text(:block)
          @fields = fields
        end

        # Gives what Showing#change asks for.
        def call
          return pasted if @fields.some_text(:list)

          add
          { stay: { "open" => @fields.text(:open), "block" => @key, "typed" => "" } }
        end

        private

        attr_reader :service, :id, :key, :fields

        def add
          pressed = NAMES.find { |name| fields.some_text(name) }
          return heading_as if pressed == :heading && fields.checked?(:as)
          return service.public_send(pressed, id, key, fields.text(pressed)) if pressed
          return several if fields.list(:headings).any? || fields.list(:several).any?

          left = parts
          left ? service.parts(id, key, left) : service.call(id, key, fields.text(:typed))
        end

        def heading_as
          choices = %i[narrower main].to_h { |name| [name, fields.checked?(name)] }
          service.heading_as(id, key, fields.text(:heading), aspects: fields.list(:aspects), **choices)
        end

        def several
          return service.heading(id, key, *fields.list(:headings)) if fields.list(:several).empty?

          service.words(id, key, *fields.list(:several))
        end

        # The reading as the person changed it, nil when it is of other words than those typed by now.
        def parts
          return unless fields.some_text(:read) && fields.text(:read) == fields.text(:typed)

          chosen = fields.nested(:part)
          (0...fields.number(:part_count).to_i.clamp(0, 40)).filter_map do |place|
            kind, text = chosen.text(place).split(":", 2)
            [kind.to_sym, text] if %w[heading words].include?(kind) && text
          end
        end

        def pasted
          refused = service.list(id, key, fields.text(:list))
          return { said: "The list was added." } if refused.empty?

          # What could not be read stays in the box.
          { said: refused.map { |entry, why| "“#{entry}” was not added: #{why}" }.join(" "),
            stay: { "open" => "list:#{key}", "list" => refused.map(&:first).join("\n") } }
        end
      end
    end
  end
end
