# frozen_string_literal: true

module Hobrin
  module Learning
    # A page of docs whose tables are made anew: each stands between two comments that name it.
    module MadeParts
      # text :: the page as it was; parts :: Hash of name to what stands there now. Gives the page.
      def self.put(text, parts)
        parts.reduce(text) do |now, (name, part)|
          now.sub(/(<!-- #{name}: [^\n]*-->\n).*?(<!-- end of #{name} -->)/m) do
            "#{::Regexp.last_match(1)}\n#{part}\n\n#{::Regexp.last_match(2)}"
          end
        end
      end
    end
  end
end
