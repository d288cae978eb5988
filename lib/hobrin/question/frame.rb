# frozen_string_literal: true

module Hobrin
  class Question
    # A frame says which elements a question has. Frames are data; see Slot for what a row holds.
    #
    # Sources, from memory: PICO Richardson 1995; SPIDER Cooke 2012; SPICE Booth 2004; ECLIPSE
    # Wildridge and Bell 2002. The letters and what they stand for are theirs, the words here are
    # ours.
    class Frame < Value
      # One place of a frame, for one element.
      #
      # frame :: the key of the frame it belongs to
      # key   :: what the element is, whatever a frame calls it: the same in every frame, so that
      #   changing the frame moves nothing (P who it is about, I what is done or encountered, C compared with
      #   what, O which outcome, T by when, S which studies, R which type of research, W where, X what is
      #   hoped for, H who provides it)
      # letter, name, prompt :: as this frame says it; ask :: the question put when the element is missing; the book has the texts
      # use   :: what it is used for unless the person says otherwise, see Element
      class Slot < Value
        attributes :frame, :key, :letter, :use

        def initialize(frame:, key:, letter:, use: :searched)
          @frame, @key, @letter = [frame, key, letter].map { |text| text.dup.freeze }
          @use = use
          freeze
        end

        def name = text("name")
        def prompt = text("prompt")
        def ask = text("ask")

        private

        # Frames that share an element share its texts.
        def text(part) = Book.t("question.frame.#{%w[picot picos].include?(frame) ? "pico" : frame}.#{key}.#{part}")
      end

      # Whether another frame would fit a question better than PICO, and why. Common practice, no
      # source.
      module Fitting
        # frame :: the Frame; reason :: why, as a clause
        class Suggestion < Value
          attributes :frame, :reason
        end

        SERVICE = /\b(?:services?|clinics?|schemes?|teams?|pathways?|rotas?|staffing|policy|policies|drop[-\s]in|outreach|
                    hospital\sat\shome|visiting|appointments?)\b/ix
        private_constant :SERVICE

        class << self
          # question :: Question; kind :: key of the kind that it has or sounds like, or nil; time ::
          #   the words that say by when, or nil. Gives a Suggestion, nil where PICO will do or
          #   another frame was chosen.
          def call(question, kind:, time: nil)
            return unless question.frame == Frame::PICO.key

            if %w[experience cost].include?(kind) && question.text.match?(SERVICE)
              suggest("spice", Book.t("question.frame_fits.service"))
            elsif kind == "experience"
              suggest("spider", Book.t("question.frame_fits.experience"))
            elsif time
              suggest("picot", Book.t("question.frame_fits.time", words: time))
            end
          end

          private

          def suggest(key, reason) = Suggestion.new(frame: Frame.fetch(key), reason:)
        end
      end

      attributes :key, :name, :slots

      def initialize(key:, name:, slots:)
        @key = key.dup.freeze
        @name = name.dup.freeze
        @slots = slots.map { |row| Slot.new(frame: key, **row) }.freeze
        freeze
      end

      # What it suits.
      def good_for = Book.t("question.frame_good_for.#{key}")

      def slot(key) = slots.find { |slot| slot.key == key }

      PICO_ROWS = [
        { key: "P", letter: "P" },
        { key: "I", letter: "I" },
        { key: "C", letter: "C", use: :reading },
        { key: "O", letter: "O" }
      ].freeze
      TIME = { key: "T", letter: "T", use: :reading }.freeze
      STUDIES = { key: "S", letter: "S", use: :limit }.freeze
      private_constant :PICO_ROWS, :TIME, :STUDIES

      ALL = [
        new(key: "pico", name: "PICO", slots: PICO_ROWS),
        new(key: "picot", name: "PICOT", slots: [*PICO_ROWS, TIME]),
        new(key: "picos", name: "PICOS", slots: [*PICO_ROWS, STUDIES]),
        new(key: "spider", name: "SPIDER", slots: [
              { key: "P", letter: "S" },
              { key: "I", letter: "PI" },
              { key: "S", letter: "D", use: :limit },
              { key: "O", letter: "E", use: :reading },
              { key: "R", letter: "R", use: :limit }
            ]),
        new(key: "spice", name: "SPICE", slots: [
              { key: "W", letter: "S" },
              { key: "P", letter: "P" },
              { key: "I", letter: "I" },
              { key: "C", letter: "C", use: :reading },
              { key: "O", letter: "E", use: :reading }
            ]),
        new(key: "eclipse", name: "ECLIPSE", slots: [
              { key: "X", letter: "E", use: :reading },
              { key: "P", letter: "C" },
              { key: "W", letter: "L" },
              { key: "O", letter: "I" },
              { key: "H", letter: "P", use: :reading },
              { key: "I", letter: "SE" }
            ])
      ].freeze

      PICO = ALL.first
      # What any element may be, in the order of the alphabet of PICO first.
      KEYS = ALL.flat_map(&:slots).map(&:key).uniq.freeze

      # The frame with this key. Raises InputError for an unknown one.
      def self.fetch(key)
        ALL.find { |frame| frame.key == key } || raise(InputError, { frame: Book.t("question.errors.frame") })
      end
    end
  end
end
