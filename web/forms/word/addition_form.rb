# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Word
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

            After.new(stay: { "open" => fields.text(:open), "block" => block, "typed" => "" })
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
            return After.new(said: "The list was added.") if refused.empty?

            said = refused.map { |entry, why| "“#{entry}” was not added: #{why}" }.join(" ")
            After.new(said:,
                      stay: { "open" => "list:#{block}",
                              "list" => refused.map(&:first).join("\n") })
          end
        end
      end
    end
  end
end
