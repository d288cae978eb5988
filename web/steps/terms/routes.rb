# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # Word: terms added and changed, blocks joined; offers while typing.
        module Routes
          extend Routing

          get("/inquiries/:id/word", needs: :reads) { show :word }

          get("/inquiries/:id/offers", needs: :reads) do
            Lengths.check(params)
            block = fields.one_of(:block, Question::Frame::KEYS) || halt(404)
            part "terms/offers", offers: Offers.new(context:, id: inquiry_id, block:, fields:)
          end

          post("/inquiries/:id/terms", needs: :works) { change :word, AdditionForm }
          post("/inquiries/:id/terms/:term", needs: :works) { change :word, TermForm }
          post("/inquiries/:id/blocks/:key", needs: :works) { change :word, BlockForm }

          # What a form on Word adds to a block: an offer that was pressed, several that were ticked,
          # a list, or what was typed, read as the person left it.
          class AdditionForm < Form
            MOST_PARTS = 40
            private_constant :MOST_PARTS

            def edit
              list = fields.some_text(:list)
              return Edits::Additions::AddList.new(block:, text: list) if list
              return Edits::Additions::StartBlocks.new(terms: first_terms) if fields.sent?(:first)

              pressed || ticked || typed
            end

            def after(outcome)
              refused = outcome.change.facts.fetch(:refused, [])
              return after_list(refused) if fields.some_text(:list)

              Form::After.new(stay: { "open" => fields.text(:open), "block" => block, "typed" => "" })
            end

            private

            def block = fields.text(:block)

            # Hash of the key of a block to Array of [kind, text].
            def first_terms
              sent = fields.nested(:first)
              Question::Frame::KEYS.to_h { |key| [key, sent.list(key).filter_map { |text| kind_and_text(text) }] }
            end

            def kind_and_text(sent)
              kind, text = sent.split(":", 2)
              [kind.to_sym, text] if %w[heading words].include?(kind) && text
            end

            def pressed
              meant = fields.some_text(:meant)
              return Edits::Additions::AddTyped.new(block:, typed: meant) if meant

              heading, words, author, journal = %i[heading words author journal].map { |name| fields.some_text(name) }
              if heading then heading(heading)
              elsif words then Edits::Additions::AddParts.words(block, words)
              elsif author then Edits::Additions::AddAuthor.new(block:, name: author)
              elsif journal then Edits::Additions::AddJournal.new(block:, name: journal)
              end
            end

            def heading(label)
              return Edits::Additions::AddParts.headings(block, label) unless fields.checked?(:as)

              Edits::Additions::AddHeading.new(block:, label:, narrower: fields.checked?(:narrower),
                                               main: fields.checked?(:main), aspects: fields.list(:aspects))
            end

            def ticked
              labels = fields.list(:headings)
              Edits::Additions::AddParts.headings(block, *labels) unless labels.empty?
            end

            def typed
              left = parts
              return Edits::Additions::AddParts.new(block:, parts: left) if left

              Edits::Additions::AddTyped.new(block:, typed: fields.text(:typed))
            end

            # The reading as the person changed it, nil when it is of other words than those typed by
            # now.
            def parts
              return unless fields.some_text(:read) && fields.text(:read) == fields.text(:typed)

              chosen = fields.nested(:part)
              (0...fields.number(:part_count).to_i.clamp(0, MOST_PARTS)).filter_map do |place|
                kind_and_text(chosen.text(place))
              end
            end

            # What could not be read stays in the box.
            def after_list(refused)
              return Form::After.new(said: Book.t("terms.list.added")) if refused.empty?

              said = refused.map { |entry, why| Book.t("terms.list.not_added", line: entry, why:) }.join(" ")
              Form::After.new(said:,
                              stay: { "open" => "list:#{block}",
                                      "list" => refused.map(&:first).join("\n") })
            end
          end

          # What one press of a button changes of a term.
          class TermForm < Form
            # A term that was put aside needs its card no more.
            CLOSING = %w[cross_out remove].freeze
            private_constant :CLOSING

            def edit
              return Edits::Terms::TurnHeading.new(term_id:, choice:) if fields.some_text(:turn)

              case fields.text(:do)
              when "cross_out" then Edits::Terms::CrossOut.new(term_id:, reason: fields.text(:reason))
              when "take_back" then Edits::Terms::Restore.new(term_id:)
              when "take_away" then Edits::Terms::Exclude.new(term_id:)
              when "remove" then Edits::Terms::Remove.new(term_id:)
              when "reword" then Edits::Terms::Reword.new(term_id:, leaf:)
              else moved || unknown
              end
            end

            def after(_outcome)
              Form::After.new(stay: { "open" => CLOSING.include?(fields.text(:do)) ? "" : fields.text(:open) })
            end

            private

            def term_id = id(:term, of: "term")

            # The name of an aspect comes with a mark of its own, so that none can be taken for one of
            # the other two.
            def choice
              turn = fields.text(:turn)
              return turn.to_sym if %w[narrower main].include?(turn)

              turn.delete_prefix("aspect:")
            end

            def moved
              case fields.text(:do)
              when "up" then Edits::Terms::Move.new(term_id:, by: -1)
              when "down" then Edits::Terms::Move.new(term_id:, by: 1)
              when "move" then Edits::Terms::Send.new(term_id:, to: fields.text(:to))
              end
            end

            def leaf
              where = fields.list(:in).map(&:to_sym) & Strategy::TextTerm::FIELDS.keys
              text = fields.text(:text)
              return Strategy::TextTerm.read(text, fields: where) unless fields.text(:as) == "near"

              near = { distance: fields.number(:distance), ordered: fields.checked?(:ordered) }
              Strategy::Proximity.split(text, split: fields.number(:split) || 1, fields: where, **near)
            end
          end

          # How a block is joined, or, on the cascade, switched and moved.
          class BlockForm < Form
            def self.step(fields) = fields.one_of(:from, %i[narrow]) || :word

            def edit
              block = fields.text(:key)
              step = self.class.step(fields)
              case fields.text(:do)
              when "switch" then Edits::Blocks::Switch.new(block:, step:)
              when "up" then Edits::Blocks::MoveUp.new(block:, step:)
              when "" then Edits::Blocks::Join.new(block:, operator:, step:)
              else unknown
              end
            end

            def after(_outcome) = Form::After.new(step: self.class.step(fields))

            private

            def operator
              fields.one_of(:operator, Strategy::Block::OPERATORS.keys) or
                raise InputError, { operator: Book.t("terms.list.choose_operator") }
            end
          end
        end
      end
    end
  end
end
