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
            return "Not signed off yet: as it stands on #{made}." unless @shared.version

            newer = ". Work has gone on since" if @shared.newer
            "Version #{@shared.version}, as it was signed off on #{made}#{newer}."
          end
        end
      end
    end
  end
end
