# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Act
        # A brief at its own address, for whoever has it.
        class SharedBrief < Web::Page
          # shared :: Services::Act::ShareBrief::Shared
          def initialize(shared)
            super()
            @shared = shared
            freeze
          end

          def title = @shared.report.title
          def sample = @shared.report.sample && Exchange::Report::SAMPLE

          # The whole report, as safe markup.
          def report = Exchange::Report::Writers::Html::Markup.of(@shared.report.sections)

          # Which version this is, in words.
          def standing
            made = day(@shared.report.made.iso8601)
            return Book.t("act.share.not_signed_yet", day: made) unless @shared.version

            Book.t("act.share.#{@shared.newer ? "signed_and_changed" : "signed"}", version: @shared.version, day: made)
          end
        end
      end
    end
  end
end
