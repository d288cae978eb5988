# frozen_string_literal: true

module Hobrin
  module Edits
    # Undo and redo, named lines, and what is only recorded.
    module Trail
      # What going back and going forth have in common: an earlier state is brought back by a line
      # of its own.
      class Going < Edit
        attributes

        def about(inquiry) = inquiry

        private

        # state :: the number of the line whose state comes back; line :: Trail::Line that this is
        #   about
        def bring(inquiry, surroundings, kind, state:, line:)
          restored = surroundings.trail.state_at(state).going_on_from(inquiry, surroundings.independent)
          Change.new(inquiry: restored, kind:, brings_back: state, step: line.step,
                     facts: { line: line.number, kind: line.kind.to_s, facts: line.facts })
        end

        def refuse(message) = raise(InputError, { undo: message })
      end

      # Goes one change back, in whatever step it was made.
      class Undo < Going
        # Raises InputError (:undo) at the beginning.
        def call(inquiry, surroundings)
          trail = surroundings.trail
          undo = trail.history.undo or refuse(Book.t("edits.errors.nothing_to_undo"))
          bring(inquiry, surroundings, :undone, state: trail.history.before, line: trail.line(undo))
        end
      end

      # Brings back what was undone last.
      class Redo < Going
        # Raises InputError (:undo) when nothing was undone.
        def call(inquiry, surroundings)
          number = surroundings.trail.history.redo or refuse(Book.t("edits.errors.nothing_to_redo"))
          bring(inquiry, surroundings, :done_again, state: number,
                                                    line: surroundings.trail.line(number))
        end
      end

      # Makes the inquiry what it was after one line of its trail; named lines stay.
      #
      # number :: of the line
      class Restore < Edit
        attributes :number

        def about(inquiry) = inquiry

        # Raises GoneError when there is no such line.
        def call(inquiry, surroundings)
          restored = surroundings.trail.state_at(number).going_on_from(inquiry, surroundings.independent)
          Change.new(inquiry: restored.with(lines: inquiry.lines), kind: :line_restored,
                     facts: { line: number })
        end
      end

      # Names a line, or joins, meets and subtracts lines into a new one.
      #
      # name :: String; tree :: of Strategy::Lines::Line leaves, see Strategy::Lines::LineNotation
      class NameLine < Edit
        MOST = 60
        attributes :name, :tree
        private_constant :MOST

        # Raises InputError (:name) for one that is taken or no name, (:notation) for lines that are
        # not there.
        def call(inquiry, surroundings)
          line = Strategy::Lines::NamedLine.new(name:, tree:)
          taken = inquiry.lines.any? { |there| there.name == line.name }
          refuse(Book.t("edits.errors.line_taken", name: line.name)) if taken
          refuse(Book.t("edits.errors.most_lines", most: MOST)) if inquiry.lines.size >= MOST

          InputError.at(:notation) { surroundings.trail.resolve(tree, inquiry) }
          Change.new(inquiry: inquiry.with(lines: [*inquiry.lines, line]), kind: :line_named,
                     facts: { name: line.name, rule: line.rule })
        end

        private

        def refuse(message) = raise(InputError, { name: message })
      end

      # Takes a named line off.
      class RemoveLine < Edit
        attributes :name

        def about(inquiry) = inquiry.lines

        # Raises GoneError; InputError (:name) while another line is made of it.
        def call(inquiry, _surroundings)
          line = inquiry.lines.find { |line| line.name == name } or raise GoneError, "line"
          user = inquiry.lines.find { |line| Strategy::Lines.names(line.tree).include?(name) }
          raise InputError, { name: Book.t("edits.errors.line_in_use", user: user.name, name:) } if user

          Change.new(inquiry: inquiry.with(lines: inquiry.lines - [line]), kind: :line_removed,
                     facts: { name: })
        end
      end

      # Writes to the trail that the search was run again. It changes nothing of the search, so that
      # going back passes it over.
      #
      # before, papers :: what it found then and now; fresh :: how many of those came into the
      #   library since, nil when that
      # cannot be told
      class RecordRun < Edit
        attributes :before, :papers, :fresh

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :run_again, facts: { before:, papers:, fresh: },
                     brings_back: surroundings.trail.history.present)
        end
      end

      # Writes to the trail that a text was removed from it for good, and nothing of the text. Going back
      # passes it over.
      class RecordForgetting < Edit
        attributes

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :text_forgotten, brings_back: surroundings.trail.history.present)
        end
      end
    end
  end
end
