# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A what-if that is tried, or several one after the other, or one that is dismissed; each by
        # its name.
        class WhatIfForm < Form
          MOST = 3
          private_constant :MOST

          def edit
            dismissed = fields.some_text(:dismiss)
            return Edits::WhatIfs::Dismiss.new(name: dismissed) if dismissed

            names = fields.list(:try).first(MOST)
            names.empty? ? unknown : Edits::WhatIfs::Apply.new(names:)
          end
        end
      end
    end
  end
end
