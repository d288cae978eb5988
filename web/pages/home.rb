# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The first page.
      class Home < Page
        # An inquiry in the list: steps :: Array of StepState
        class Card < Value
          attributes :id, :question, :path, :delete_path, :sample, :touched, :steps
        end

        # One step of an inquiry: note :: what there is to say of it, "" for nothing; state ::
        #   "done", "open" or "here done" …
        class StepState < Value
          attributes :name, :note, :state
        end

        attr_reader :question

        # overview :: Services::ListInquiries::Overview; question :: as it was typed
        def initialize(overview:, errors:, question:)
          super(errors:)
          @overview = overview
          @question = question
        end

        def sample? = @overview.sample
        def papers = count_of(@overview.papers, "paper")
        def cards = @overview.inquiries.map { |saved| card(saved) }

        private

        def card(saved)
          path = "/inquiries/#{saved.id}"
          Card.new(id: saved.id, question: saved.inquiry.question, path:, delete_path: "#{path}/delete",
                   sample: saved.sample, touched: day_and_time(saved.touched_at), steps: steps(saved))
        end

        def steps(saved)
          progress = Progress.new(saved.inquiry, saved.papers)
          Progress::NAMES.map do |step, name|
            state = [progress.done?(step) ? "done" : "open",
                     ("here" if step == saved.step)].compact.join(" ")
            StepState.new(name:, note: progress.note(step) || note(step, saved), state:)
          end
        end

        def note(step, saved)
          case step
          when :ask then saved.inquiry.question.kind ? Question::Kind.fetch(saved.inquiry.question.kind).short : ""
          when :act then saved.inquiry.conclusion.empty? ? "" : "written"
          else ""
          end
        end
      end
    end
  end
end
