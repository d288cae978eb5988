# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Ask
        # One element as Ask shows it: what is marked and proposed for it, what is to be said of
        # that, and how it is used.
        class ElementCard
          include Formatting

          # place :: how a press names it; path :: where its edges are moved; open :: whether they
          #   are shown
          class Phrase < Value
            attributes :text, :place, :path, :open
          end

          # why :: in words; take, leave :: what a press sends; sure :: whether it needs no second
          #   look; other :: [what a press sends, letter, name] of the element that it may be
          #   instead, or nil
          class Proposal < Value
            attributes :text, :why, :take, :leave, :sure, :other
          end

          # A button that moves an edge of a phrase.
          class Edge < Value
            attributes :says, :value, :move, :sign, :name
          end

          # [key of the text before it, what a press sends, icon, key of its name]
          EDGES = [[:starts, "start:-1", "arrow-left", :start_earlier], [nil, "start:1", "arrow-right", :start_later],
                   [:ends, "end:-1", "arrow-left", :end_earlier], [nil, "end:1", "arrow-right", :end_later]].freeze
          private_constant :EDGES

          # page :: Ask; element :: Question::Element
          def initialize(page, element)
            @page = page
            @element = element
          end

          def key = @element.key
          def letter = @element.letter
          def name = @element.slot.name

          # The key with which Alt marks the selected words as this.
          def access_key = letter[0].downcase

          # Whether it belongs to a former frame.
          def outside_frame? = @element.slot.frame != @page.question.frame

          def marked
            @element.marked.map do |phrase|
              place = "#{key}:#{phrase.from}"
              Phrase.new(text: phrase.text, place:, path: @page.path(phrase: place),
                         open: @page.fields.text(:phrase) == place)
            end
          end

          # The buttons of an open phrase.
          def edges(phrase)
            EDGES.map do |before, move, sign, name|
              Edge.new(says: before && Book.t("ask.element.#{before}"), value: "#{phrase.place}:#{move}", move:, sign:,
                       name: Book.t("ask.element.#{name}"))
            end
          end

          def proposals
            @page.reading.proposals.select { |proposal| proposal.key == key }.map do |proposal|
              text = proposal.phrase.text
              Proposal.new(text:, why: Page::Why.new(proposal).to_s, take: "#{key}:#{proposal.phrase.from}",
                           leave: "#{key}:#{text}", sure: proposal.sure?, other: other(proposal))
            end
          end

          def no_use = @page.reading.no_use.fetch(key, [])

          # Why it is blank, or used as it is, in the rules of practice.
          def remark
            return @element.slot.prompt if @element.blank?

            advice&.text || Book.t("ask.element.usual.#{@element.use}")
          end

          # The use that the rules of practice would give it, when it has another one: [what a press
          # sends, in words].
          def better_use
            use = advice&.use
            ["#{key}:#{use}", Question::Element::USES.fetch(use)] if use && use != @element.use
          end

          def typed
            @page.typed_or(:"typed_#{key}", @element.typed.map(&:text).join("; "))
          end

          def uses
            chosen = @page.typed_or(:"use_#{key}", @element.use.to_s)
            Question::Element::USES.map { |use, name| [use, name, use.to_s == chosen] }
          end

          private

          def advice = @page.reading.advice[key]

          def other(proposal)
            element = proposal.other && @page.question.element(proposal.other) or return
            ["#{element.key}:#{proposal.phrase.from}", element.letter, element.slot.name]
          end
        end
      end
    end
  end
end
