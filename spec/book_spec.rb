# frozen_string_literal: true

require "erubi"
require "rubocop-ast"

# The book and the code that asks it: every text that is asked for is there, and every text that is there is asked for.
RSpec.describe Hobrin::Book do
  root = Hobrin::Boot::ROOT
  asked = /(?:\bBook\.(?:t|has\?|forms)|(?<![\w.])t(?:_html)?)\(\s*"(?<key>[^"]+)"/
  keyed = /"(?<key>[a-z_]+(?:\.(?:[a-z0-9_]|\#\{(?:[^"{}]|"[^"]*")*\})+)+)"/

  flat = lambda do |texts, path|
    texts.flat_map do |name, text|
      key = [*path, name].join(".")
      text.is_a?(Hash) && !text.key?("other") ? flat.call(text, [*path, name]) : [[key, text]]
    end
  end

  files = root.glob("config/locales/en/*.yml")
  texts = files.flat_map { |file| flat.call(YAML.load_file(file).fetch("en"), []) }.to_h
  code = root.glob("{lib,services,store,web,cli}/**/*.{rb,erb}").reject { |file| file.to_s.include?("/public/") }
  sources = code.to_h { |file| [file.relative_path_from(root).to_s, file.read] }
  places = files.map { |file| file.basename(".yml").to_s }

  it "keeps each text in the file of its first part" do
    files.each { |file| expect(YAML.load_file(file).fetch("en").keys).to eq([file.basename(".yml").to_s]) }
  end

  it "has every text that is asked for" do
    missing = sources.flat_map do |file, source|
      source.scan(asked).flatten.grep_v(/\#\{/).reject { |key| texts.key?(key) }.map { |key| "#{file}: #{key}" }
    end
    expect(missing).to eq([])
  end

  it "is asked for every text that it has" do
    named = sources.values.flat_map { |source| source.scan(/names\("([^"]+)"/).flatten.map { |place| "#{place}.\#{key}" } }
    keys = [*named, *sources.values.flat_map { |source| source.scan(keyed).flatten }].uniq.select { |key| places.include?(key[/\A\w+/]) }
    open, whole = keys.partition { |key| key.include?("\#{") }
    patterns = open.map do |key|
      Regexp.new("\\A#{key.split(/\#\{(?:[^"{}]|"[^"]*")*\}/, -1).map do |part|
        Regexp.escape(part)
      end.join(".+")}\\z")
    end
    unused = texts.keys.reject { |key| whole.include?(key) || patterns.any? { |pattern| pattern.match?(key) } }
    expect(unused).to eq([])
  end

  # The calls of `t` with a whole key: [key, names of its gaps], from the syntax tree of a file. Calls that pass a Hash on
  # are left out.
  calls = lambda do |node|
    next [] unless node.is_a?(RuboCop::AST::Node)

    own = if node.send_type? && %i[t t_html].include?(node.method_name) && node.first_argument&.str_type?
            gaps = node.arguments[1]&.children.to_a
            gaps.all?(&:pair_type?) ? [[node.first_argument.value, gaps.map { |gap| gap.key.value.to_s }]] : []
          end
    [*own, *node.children.flat_map { |child| calls.call(child) }]
  end

  it "is given every gap of a text where it is asked for" do
    open = sources.flat_map do |file, source|
      ruby = file.end_with?(".erb") ? Erubi::Engine.new(source, escape: true).src : source
      calls.call(RuboCop::AST::ProcessedSource.new(ruby, 3.1).ast).filter_map do |key, given|
        forms = texts[key].is_a?(Hash) ? texts[key].values : [texts[key].to_s]
        missing = forms.join.scan(/%\{(\w+)\}/).flatten.uniq - given
        "#{file}: #{key} without #{missing.join(", ")}" if missing.any?
      end
    end
    expect(open).to eq([])
  end

  it "prints whole numbers with thin spaces, and chooses the form of the count" do
    expect(described_class.t("common.papers", count: 1)).to eq("1 paper")
    expect(described_class.t("common.papers", count: 12_345)).to eq("12\u2009345 papers")
  end

  it "stays as it is when a library that uses the same gem loads its own texts anew" do
    I18n.load_path += []
    expect(described_class.t("errors.conflict")).to start_with("This inquiry")
  end

  it "does not know a text that is not there, nor one with a gap left open" do
    expect { described_class.t("common.nothing_of_the_kind") }.to raise_error(KeyError, /nothing_of_the_kind/)
    expect { described_class.t("narrow.cascade.removed_by") }.to raise_error(KeyError)
  end
end
