# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What a person found in weighing one kept paper.
    #
    # design  :: key of a Design; reviewed :: key of the Design of the studies that a review
    # reviewed,
    #   "" while it is not said
    # answers :: Hash of question key to :yes, :no or :unclear
    # graded  :: −1, 0 or 1: one level stronger, as the table says, one weaker; graded_why :: the
    #   reason
    # outcome :: what was counted; table :: a Statistics::TwoByTwo, or nil
    # finding :: the paper in one sentence
    class Paper < Value
      attributes :record_id, :design, :reviewed, :answers, :graded, :graded_why, :outcome, :table,
                 :finding

      LONGEST = { graded_why: 300, outcome: 120, finding: 600 }.freeze
      private_constant :LONGEST

      # Raises InputError naming the field.
      def initialize(record_id:, design:, reviewed: "", answers: {}, graded: 0, graded_why: "", outcome: "",
                     table: nil, finding: "")
        @record_id = record_id.dup.freeze
        @design = Design.fetch(design).key
        @reviewed = review?(reviewed) ? InputError.at(:reviewed) { Design.fetch(reviewed).key } : ""
        questions = Sheet.for(Design.fetch(design))
        @answers = answers.select do |key, answer|
          questions.key?(key) && ANSWERS.key?(answer)
        end.freeze
        @graded = [-1, 0, 1].include?(graded) ? graded : 0
        @graded_why, @outcome, @finding = [graded_why, outcome, finding].map do |text|
          text.to_s.dup.freeze
        end
        @table = table
        check
        freeze
      end

      # record :: the Records::Record; kind :: of the question, or nil
      def level(record, kind)
        Level.of(record:, kind:, design: Design.fetch(design), answers:, graded:,
                 reviewed: reviewed.empty? ? nil : Design.fetch(reviewed))
      end

      def questions = Sheet.for(Design.fetch(design))

      private

      def review?(reviewed) = @design == "systematic_review" && !reviewed.empty?

      def check
        errors = LONGEST.filter_map do |field, most|
          [field, "Keep this to #{most} characters."] if public_send(field).size > most
        end.to_h
        errors[:graded_why] =
          "Say why the level is moved." if graded != 0 && graded_why.strip.empty?
        raise InputError, errors unless errors.empty?
      end
    end
  end
end
