# frozen_string_literal: true

module Hobrin
  class Question
    # One place of a frame, for one element.
    #
    # frame :: the key of the frame it belongs to
    # key   :: what the element is, whatever a frame calls it: the same in every frame, so that
    #   changing the frame moves nothing (P who it is about, I what is done or met, C against what,
    #   O to what end, T by when, S which studies, R which kind of research, W where, X what is
    #   hoped for, H who acts)
    # letter, name, prompt :: as this frame says it; ask :: the question put when the element is missing
    # use   :: what it is used for unless the person says otherwise, see Element
    class Slot < Value
      attributes :frame, :key, :letter, :name, :prompt, :ask, :use

      def initialize(frame:, key:, letter:, name:, prompt:, ask:, use: :searched)
        texts = [frame, key, letter, name, prompt, ask].map { |text| text.dup.freeze }
        @frame, @key, @letter, @name, @prompt, @ask = texts
        @use = use
        freeze
      end
    end
  end
end
