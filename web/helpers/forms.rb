# frozen_string_literal: true

module Hobrin
  module Web
    module Helpers
      # What forms and links have in common, so that a view says only what differs. Those with a block
      # write around what stands in it.
      module Forms
        # A form that changes something, with its token and the version that its page shows; works
        # with and without htmx.
        #
        #   <% form_to page.path(:aim), class: "aim-form d-flex flex-wrap align-items-center gap-2" do %> … <% end %>
        # by :: who may change it: :all who work on the inquiry, :me who signed in, whatever else they may
        # do, or :nobody
        def form_to(path, by: :all, **attributes, &block)
          sends = { method: "post", action: path, "hx-post": path }
          around("form", **sends, **attributes) do
            @_out_buf << csrf
            # Who only reads sees what stands there, and can change nothing.
            next yield unless by == :nobody || (by == :all && looks_only?)

            around("fieldset", disabled: true, class: "looked-at-only", &block)
          end
        end

        # Whether the inquiry of the page is in other hands.
        def looks_only? = @looks_only

        # A form that only asks for another view of the page.
        def ask_for(path, **attributes, &)
          around("form", method: "get", action: path, "hx-get": path, **attributes, &)
        end

        # A link that loads its address in place of the page.
        def link_to(path, **attributes, &)
          around("a", href: path, "hx-get": path, **attributes, &)
        end

        # Closes what is open on a page.
        def close_link(path)
          tag("a", "#{h(Book.t("common.close"))} <kbd>Esc</kbd>", class: "btn btn-quiet", href: path, "hx-get": path,
                                                                  "data-close-card": true)
        end

        # A link among several of which one is where the person is, as safe markup.
        def choice(name, path, chosen)
          tag("a", h(name), href: path, "aria-current": chosen && "true")
        end

        # Fields that a form carries along unseen; one for each value of a list.
        def hidden(**fields)
          fields.flat_map do |name, value|
            [*value].map { |single| tag("input", type: "hidden", name:, value: single) }
          end.join
        end

        # The choices of a select. choices :: Array of [value, name, whether it is chosen]
        def options(choices)
          choices.map { |value, name, chosen| tag("option", h(name), value:, selected: chosen) }.join
        end

        # The message beside a field, with the id that the field names in aria-describedby.
        def problem(field, id: field)
          message = @page.message(field)
          message && tag("p", h(message), class: "problem", id: "problem-#{id}")
        end

        # The attributes of a field that has a message.
        def troubled(field, id: field)
          return "" unless @page.errors.key?(field.to_sym)

          attributes("aria-invalid": "true", "aria-describedby": "problem-#{id}")
        end

        # How many characters a field may have.
        def longest(field) = FieldLengths.of(field)

        # Attributes as safe markup: true stands for a bare name, nil and false for none.
        def attributes(**all)
          all.map do |name, value|
            next if value.nil? || value == false

            value == true ? " #{name}" : %( #{name}="#{h(value)}")
          end.join
        end

        # An element as safe markup. content :: safe markup, nil for an element that has none
        def tag(name, content = nil, **attributes)
          opening = "<#{name}#{attributes(**attributes)}>"
          content ? "#{opening}#{content}</#{name}>" : opening
        end

        def h(text) = Rack::Utils.escape_html(text.to_s)

        def csrf_token = @csrf_token ||= Rack::Protection::AuthenticityToken.token(session)

        private

        def around(name, **attributes)
          @_out_buf << "<#{name}#{attributes(**attributes)}>"
          yield
          @_out_buf << "</#{name}>"
        end

        # What every form carries.
        def csrf = hidden(**{ authenticity_token: csrf_token, seen: @page.version }.compact)
      end
    end
  end
end
