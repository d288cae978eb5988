# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The sample's other inquiries, narrowed by their words alone and weighed, made by the same
    # services that a person uses.
    class OtherInquiries
      HEADING = /\A<(.+)>\z/
      private_constant :HEADING

      def initialize(context)
        @context = context
      end

      # Gives their ids.
      def call
        YAML.load_file(File.expand_path("other_inquiries.yml", __dir__)).map { |data| one(data) }
      end

      private

      def one(data)
        id = Services::Inquiries::Start.new(@context).call(data["text"], situation: data["situation"],
                                                                         sample: true)
        ask(id, data)
        data["terms"].each { |block, names| names.each { |name| add(id, block, name) } }
        data.fetch("crossed", {}).each do |block, (name, reason)|
          cross_out(id, block, name, reason)
        end
        Weighing.new(@context, id, data["kind"]).call
        id
      end

      def ask(id, data)
        draft = Edits::Ask::Draft.new(situation: data["situation"], text: data["text"], kind: data["kind"],
                                      frame: data["frame"], uses: data["uses"].transform_values(&:to_sym))
        edit(id, Edits::Ask::WriteQuestion.new(draft:))
        typed = draft.with(typed: data["typed"])
        data["marks"].flat_map { |key, texts| texts.map { |words| Edits::Ask::Mark.new(key:, words:) } }
                     .each { |press| edit(id, Edits::Ask::WriteQuestion.new(draft: typed, press:)) }
      end

      def add(id, block, name)
        heading = name[HEADING, 1]
        edit(id,
             Edits::Additions::AddParts.new(block:,
                                            parts: [heading ? [:heading, heading] : [:words, name]]))
      end

      def cross_out(id, block, name, reason)
        leaf = Strategy::TextTerm.read(name)
        term = @context.inquiries.find(id).inquiry.block(block).terms.find do |term|
          term.leaf == leaf
        end
        edit(id, Edits::Terms::CrossOut.new(term_id: term.id, reason:))
      end

      def edit(id, edit) = Services::ApplyEdit.new(@context).call(id, edit)
    end
  end
end
