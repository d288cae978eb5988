# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The sample's other inquiries, as far as Word, made by the same services that a person uses.
    class OtherInquiries
      HEADING = /\A<(.+)>\z/
      private_constant :HEADING

      def initialize(context)
        @context = context
        @terms = Services::AddTerms.new(context)
      end

      # Gives their ids.
      def call = YAML.load_file(File.join(__dir__, "other_inquiries.yml")).map { |data| one(data) }

      private

      def one(data)
        id = Services::StartInquiry.new(@context).call(data["text"], situation: data["situation"], sample: true)
        ask(id, data)
        data["terms"].each { |key, names| names.each { |name| add(id, key, name) } }
        data.fetch("crossed", {}).each { |key, (name, reason)| cross_out(id, key, name, reason) }
        id
      end

      def ask(id, data)
        draft = Services::WriteQuestion::Draft.new(
          situation: data["situation"], text: data["text"], kind: data["kind"], frame: data["frame"],
          typed: data["typed"], uses: data["uses"].transform_values(&:to_sym)
        )
        service = Services::WriteQuestion.new(@context)
        service.call(id, draft.dup.tap { |first| first.typed = {} })
        marks = data["marks"].flat_map { |key, texts| texts.map { |text| [key, text] } }
        marks.each { |key, text| service.call(id, draft) { |question| question.marked(key, text) } }
      end

      def add(id, key, name)
        heading = name[HEADING, 1]
        heading ? @terms.heading(id, key, heading) : @terms.words(id, key, name)
      end

      def cross_out(id, key, name, reason)
        leaf = Strategy::Words.read(name)
        term = @context.inquiries.find(id).inquiry.block(key).terms.find { |one| one.leaf == leaf }
        Services::ChangeTerm.new(@context).cross_out(id, term.id, reason)
      end
    end
  end
end
