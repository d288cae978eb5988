# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A colleague's review of the search, question by question.
        class ReviewForm < Form
          # service :: Services::Narrow::ReviewSearch. Gives an ApplyEdit::Outcome.
          def call(service, id)
            remarks = Narrowing::PeerReview::QUESTIONS.keys.to_h { |key| [key, fields.nested(:remarks).text(key)] }
            service.call(id, name: fields.text(:reviewer), verdict: fields.text(:verdict), remarks:)
          end

          def after(_outcome) = After.new(said: "The review is kept.", stay: { "show" => "check" })
        end
      end
    end
  end
end
