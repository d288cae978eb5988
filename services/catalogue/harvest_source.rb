# frozen_string_literal: true

module Hobrin
  module Services
    # Begins to harvest a catalogue, or to harvest what changed there since the last time, as an
    # import in the background.
    class HarvestSource
      def initialize(context)
        @context = context
      end

      # Raises GoneError for a catalogue that is not harvested, or is being harvested just now.
      def call(id)
        source = @context.library.sources.find(id)
        imports = @context.library.imports
        raise GoneError, "catalogue" if source.sru? || imports.all.any? { |one| one.source_id == id && one.waiting? }

        imports.begin(name: source.name, size: 0, at: @context.now, state: "waiting",
                      sample: source.stand_in,
                      format: source.format, source_id: id)
        WakeWorker.new(@context).call
      end
    end
  end
end
