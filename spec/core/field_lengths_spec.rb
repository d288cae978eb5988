# frozen_string_literal: true

# Our choice of lengths; that each holds is shown where the text is kept.
RSpec.describe Hobrin::FieldLengths do
  it "takes a text of just the length, and refuses one more where it was typed" do
    expect(described_class.check(:conclusion, "a" * 600)).to be_nil
    expect { described_class.check(:conclusion, "a" * 601, at: :sentence) }
      .to raise_error(Hobrin::InputError) { |e| expect(e.errors).to eq(sentence: "Keep this to 600 characters.") }
  end

  it "says each text that is too long under its own name" do
    long = { name: "a" * 121, counted: "a" * 200, of: "a" * 201 }
    expect(described_class.errors(long, { name: :measure, of: :counted }).keys).to eq(%i[name of])
  end

  it "is what forms and values go by: what a form lets in, a value takes" do
    form = File.read(Hobrin::Boot::ROOT.join("web/steps/trail/_line_tools.erb"))
    expect(form).to include("longest(:line_note)")
    expect(described_class.of(:line_note)).to eq(300)
    expect { Hobrin::Strategy::Filters::OwnFilter.new(title: "a" * described_class.of(:filter_title), tree: nil) }.not_to raise_error
  end
end
