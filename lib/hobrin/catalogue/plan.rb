# frozen_string_literal: true

module Hobrin
  module Catalogue
    # A search for one catalogue, line by line as it will be sent, which a person may change before.
    #
    # lines :: Array of Line, in order: the terms of each block, the block, and so on; then the whole
    class Plan < Value
      attributes :lines

      # kind  :: :term, :limit (both have a text of their own), :block or :whole (made of others)
      # name  :: in words; here :: Integer, papers in the library that the line finds as it stands
      # there :: the text for the catalogue; "" for what is left out; notes :: Array of what was changed
      # wider, lost :: papers of the library that the changed line finds beyond ours, and those it no
      #   longer does; nil where the line is left out
      # of    :: for a block [[numbers that are put in], [numbers that are taken out]]; for the whole
      #   the same of blocks and limits
      class Line < Value
        attributes :number, :kind, :name, :here, :there, :notes, :wider, :lost, :of

        BY_HAND = Book.t("catalogue.plan.edited")

        def own? = %i[term limit].include?(kind)
        def by_hand? = notes == [BY_HAND]
      end

      # The same with other texts for lines that have one of their own. texts :: Hash of number to
      #   String
      def edited(texts)
        changed = lines.map do |line|
          text = texts[line.number]
          if !line.own? || text.nil? || text == line.there
            line
          else
            line.with(there: text, notes: [Line::BY_HAND], wider: nil, lost: nil)
          end
        end
        with(lines: changed).composed
      end

      # With the text of each block, and of the whole, made of those of its lines.
      def composed
        made = {}
        lines.each { |line| made[line.number] = line.own? ? line.there : made_of(line, made) }
        with(lines: lines.map { |line| line.with(there: made.fetch(line.number)) })
      end

      # The whole search as the catalogue is asked it; "" when nothing is left of it.
      def query = lines.last&.there.to_s

      private

      def made_of(line, made)
        put_in, taken_out = line.of.map do |numbers|
          made.values_at(*numbers).reject { |text| text.to_s.empty? }
        end
        return "" if put_in.empty?

        kept = joined(put_in, line.kind == :block ? "or" : "and")
        taken_out.empty? ? kept : "(#{kept} not #{joined(taken_out, "or")})"
      end

      def joined(texts, word) = texts.one? ? texts.first : "(#{texts.join(" #{word} ")})"

      # Makes the Plan of an inquiry's search for one catalogue.
      class Planning
        # cascade :: Narrowing::Cascade; question :: Question; ability :: Ability; evaluator ::
        #   Retrieval::Evaluator
        def initialize(cascade:, question:, ability:, evaluator:)
          steps, limits = cascade.steps.select(&:on).partition(&:block?)
          @blocks = steps.map(&:source)
          @limits = limits.map(&:source)
          @question = question
          @evaluator = evaluator
          @translation = Translation.new(ability:, evaluator:)
          @lines = []
        end

        # Gives a Plan; one without lines when nothing is searched.
        def call
          blocks = @blocks.map { |block| [block_line(block), block.operator] }
          return Plan.new(lines: []) if blocks.empty?

          joined, taken = blocks.partition { |_, operator| operator == :and }
          limits = @limits.map(&:leaf).map { |leaf| own(:limit, Narrowing::AppliedLimit::Wording.named(leaf), leaf) }
          whole = Narrowing::State.of(@blocks, @limits, []).tree
          add(:whole, Book.t("catalogue.plan.whole"), @evaluator.count(whole),
              of: [joined.map(&:first) + limits, taken.map(&:first)])
          Plan.new(lines: @lines).composed
        end

        private

        def block_line(block)
          put_in, taken_out = [block.in_use, block.excluded].map do |terms|
            terms.map { |term| own(:term, term.label, term.leaf) }
          end
          element = @question.element(block.key)
          add(:block, "#{element.letter}: #{element.name}", @evaluator.count(block.tree),
              of: [put_in, taken_out])
        end

        def own(kind, name, leaf)
          part = @translation.call(leaf)
          before = @evaluator.call(leaf)
          after = part.became && @evaluator.call(part.became)
          add(kind, name, before.size, there: part.text, notes: part.notes,
                                       wider: after && (after - before).size,
                                       lost: after && (before - after).size)
        end

        def add(kind, name, here, there: "", notes: [], wider: nil, lost: nil, of: nil)
          @lines << Plan::Line.new(number: @lines.size + 1, kind:, name:, here:, there:, notes:,
                                   wider:, lost:, of:)
          @lines.size
        end
      end
    end
  end
end
