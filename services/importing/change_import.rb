# frozen_string_literal: true

module Hobrin
  module Services
    # Stops an import, goes on with it, or takes back what it brought.
    class ChangeImport
      # An inquiry that had kept papers of an import. papers :: how many
      class Losing < Value
        attributes :id, :question, :papers
      end

      # What taking an import back would cost. named :: Array of Losing, of the inquiries that who
      # asks may read; others :: how many more inquiries would lose papers
      class Losses < Value
        attributes :named, :others

        def any? = named.any? || others.positive?
      end

      def initialize(context)
        @context = context
        @imports = context.library.imports
      end

      # Raises GoneError.
      def stop(id)
        @imports.change(id, state: "stopped") if @imports.find(id).waiting?
      end

      def go_on(id)
        import = @imports.find(id)
        waits = import.source_id || @context.incoming.path_of(id).exist?
        raise GoneError, "import" unless %w[stopped failed].include?(import.state) && waits

        @imports.change(id, state: "waiting", message: nil, ended_at: nil)
        WakeWorker.new(@context).call
      end

      # Which inquiries would lose kept papers. Gives Losses. Raises GoneError.
      def losing(id)
        gone = Records::RecordSet.of(@imports.parts(@imports.find(id).id).flat_map(&:to_a))
        losing = @context.stored.all.filter_map do |saved|
          papers = @context.library.set(saved.inquiry.kept_ids).overlap(gone)
          Losing.new(id: saved.id, question: saved.inquiry.question.text, papers:) if papers.positive?
        end
        permit = Permit.new(@context)
        named, others = losing.partition { |one| permit.ability(one.id) }
        Losses.new(named:, others: others.size)
      end

      # Takes its records out of the library. Raises GoneError for one that is at work, or taken
      # back already.
      def take_back(id)
        import = @imports.find(id)
        raise GoneError, "import" if import.waiting? || import.state == "taken back"

        @context.library.take_back(import, at: @context.now)
        @context.incoming.forget(id)
      end
    end
  end
end
