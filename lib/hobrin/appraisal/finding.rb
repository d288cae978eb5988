# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Something that several experience studies found, in one sentence, and which papers speak for
    # it or against it.
    #
    # id :: Integer from 1; text :: the finding
    # support :: Hash of record id to Voice; judgements :: Hash of a component of
    #   Findings::Confidence to
    #   Outcome::Judgement
    class Finding < Value
      attributes :id, :text, :support, :judgements

      # What a paper says to a finding: speaks :: :for or :against; words :: the sentence that says
      #   it
      class Voice < Value
        attributes :speaks, :words

        WAYS = { for: "says so", against: "says otherwise" }.freeze
        LONGEST = 400
        private_constant :LONGEST

        def initialize(speaks:, words: "")
          @speaks = speaks.to_s.to_sym
          @words = words.to_s.strip.freeze
          raise InputError, { support: "Say whether the paper says so or otherwise." } unless WAYS.key?(@speaks)
          raise InputError, { support: "Keep a sentence to #{LONGEST} characters." } if @words.size > LONGEST

          freeze
        end
      end

      LONGEST = 300
      private_constant :LONGEST

      # Raises InputError naming the field.
      def initialize(id:, text:, support: {}, judgements: {})
        @id = id
        @text = text.to_s.strip.freeze
        @support = support.to_h.freeze
        @judgements = judgements.to_h.freeze
        raise InputError, { text: "Write the finding." } if @text.empty?
        raise InputError, { text: "Keep it to #{LONGEST} characters." } if @text.size > LONGEST

        freeze
      end

      # Ids of the papers that speak one way.
      def ids(speaks) = support.select { |_, voice| voice.speaks == speaks }.keys
    end
  end
end
