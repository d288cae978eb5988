# frozen_string_literal: true

module Hobrin
  module Web
    module Helpers
      # The texts of the book, in templates.
      module Texts
        # See Book.t.
        def t(key, **gaps) = Book.t(key, **gaps)

        # A text that holds markup, as safe markup. What stands in its gaps is escaped, but for gaps whose names end in _html.
        def t_html(key, **gaps)
          Book.t(key, **gaps.to_h { |name, gap| [name, name.end_with?("_html") || gap.is_a?(Integer) ? gap : h(gap)] })
        end
      end
    end
  end
end
