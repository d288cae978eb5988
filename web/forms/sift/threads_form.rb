# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Sift
        # One more round of following citations.
        class ThreadsForm < Form
          def edit = Edits::Screen::SearchCitations.new

          def after(outcome)
            found = outcome.change.facts[:found]
            After.new(list: { **Pages::Sift.view_of(fields).to_query, "show" => "threads" },
                      said: found && "#{found} #{found == 1 ? "paper" : "papers"} found.")
          end
        end
      end
    end
  end
end
