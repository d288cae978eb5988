# frozen_string_literal: true

# Each finding of the check, from a good search with one fault put in. The elements are those of
# PRESS 2015 (McGowan et al., from memory): question, Booleans, headings, words, spelling, limits.
RSpec.describe Hobrin::Check, :sample, :slow do
  def check(inquiry) = described_class.new(inquiry, context.evaluator).call
  def heading(label, **rest) = Hobrin::Strategy::Heading.new(label:, **rest)
  def limit(name, *values) = Hobrin::Strategy::Limit.new(name:, values:)
  def joined(one, key, operator) = one.with_block(one.block(key).with(operator:))

  # Adds a heading to the thesaurus that another one took the place of.
  def retire(label, instead)
    retired = a_heading(label, use_instead: [instead])
    context.library.write_thesaurus(Hobrin::Thesaurus.new([*context.thesaurus.headings, retired]))
  end

  # The inquiry with a block's terms replaced.
  def with_only(one, key, *leaves)
    leaves.reduce(one.with_block(one.block(key).with(terms: []))) do |now, leaf|
      now.with_leaf(key, leaf)
    end
  end

  it "finds nothing to mend in a good search" do
    (1..5).each { |id| expect([id, check(inquiry(id)).map(&:says)]).to eq([id, []]) }
    expect(check(Hobrin::Inquiry.new(question: Hobrin::Question.ask("Does music help?")))).to eq([])
  end

  faults = {
    empty: ->(good) { with_only(good, "O") },
    alone: ->(good) { joined(joined(good, "P", :out), "O", :out) },
    usual: ->(good) { good.with(question: good.question.with_use("C", :searched)).with_leaf("C", words("care")) },
    twice: ->(good) { good.with_leaf("O", words("eye mask*")) },
    nothing_left: ->(good) { with_only(good, "I", words("bladder scan")) },
    takes_much: ->(good) { joined(good, "O", :not) },
    gone: ->(good) { good.with_leaf("O", heading("Night Terrors of Old")) },
    replaced: lambda { |good|
      retire("Ward Fear", "Agitation").then do
        good.with_leaf("O", heading("Ward Fear"))
      end
    },
    covered: ->(good) { good.with_leaf("O", heading("Emergence Delirium")) },
    not_below: ->(good) { good.with_leaf("O", heading("Pain", narrower: false)) },
    main: ->(good) { good.with_leaf("O", heading("Fatigue", main: true)) },
    aspects: ->(good) { good.with_leaf("O", heading("Pain", aspects: %w[a b c d])) },
    unused: ->(good) { good.with_leaf("O", heading("Ears")) },
    missing: ->(good) { good.with_leaf("O", words("falls")) },
    without_words: ->(good) { with_only(good, "O", heading("Delirium")) },
    wild: ->(good) { good.with_leaf("O", words("con*")) },
    no_use: ->(good) { good.with_leaf("O", words("effect")) },
    titles: ->(good) { good.with_leaf("O", words("agitation", fields: [:title])) },
    slip: ->(good) { good.with_leaf("O", words("delirum")) },
    nothing: ->(good) { good.with_leaf("O", words("zyx zyx")) },
    found_nothing: lambda { |good|
      with = good.with_leaf("O", words("zyx zyx"))
      check(with).find { |one| one.kind == :nothing }.mended
    },
    other_way: ->(good) { with_only(good, "I", words("earplug"), heading("Ear Protective Devices", main: true)) },
    language: ->(good) { good.with_limit(limit(:language, "eng")).with_limit(limit(:species, "humans")) },
    full_text: ->(good) { good.with_limit(limit(:flag, "free full text")) },
    both: ->(good) { good.with_limit(Hobrin::Strategy::Filters::Filter.new(kind: "treatment", width: "balanced")) },
    silent: ->(good) { good.with(limits: []).with_limit(limit(:sex, "female", "male")) },
    contrary: ->(good) { good.with(limits: []).with_limit(limit(:age, "newborn")) }
  }

  faults.each do |kind, spoil|
    it "finds and mends: #{kind}" do
      spoiled = instance_exec(inquiry, &spoil)
      found = check(spoiled).select { |one| one.kind == kind }
      expect([kind, found.size]).to match([kind, be_positive])
      finding = found.first
      expect([finding.says, finding.why]).to all(match(/\w/))
      next expect(finding.press).to be_nil unless finding.mended

      expect(check(finding.mended).count { |one| one.kind == kind }).to be < found.size
      Hobrin::Store::InquiryDocument.load(Hobrin::Store::InquiryDocument.dump(finding.mended))
    end
  end

  it "has a case for every kind of finding, and a group for each" do
    expect(faults.keys).to match_array(described_class::Texts::GROUP_OF.keys)
    expect(described_class::Texts::GROUP_OF.values.uniq)
      .to match_array(described_class::GROUPS.keys)
    expect(faults.size).to be >= 15
  end

  it "mends what is pressed by its name, and can be undone" do
    add_words("O", "con*")
    before = inquiry
    finding = check(before).find { |one| one.kind == :wild }
    mend = ->(name) { edit(Hobrin::Edits::SearchCheck::MendFinding.new(name:)) }
    mend[finding.name]
    expect(check(inquiry).map(&:kind)).not_to include(:wild)
    expect(last_line.change).to eq("Cross it out: #{finding.says}")
    undo
    expect(inquiry).to eq(before)
    ["", "wild|moon", "nothing_left|P"].each { |name| expect { mend[name] }.to raise_error(Hobrin::GoneError) }
  end
end
