# frozen_string_literal: true

require "rdf"
require "rdf/turtle"
require "rdf/rdfxml"

RSpec.describe Hobrin::Exchange::Skos do
  let(:thesaurus) { Hobrin::Thesaurus.new([*Hobrin::Demo::SampleThesaurus.headings, odd]) }
  let(:odd) do
    facts = { also_called: ["tab\there"], definition: "Two\nlines.", notation: "X1",
              use_instead: ["Delirium"] }
    a_heading("Odd \"é\" \\ <x>", uri: "http://example.org/odd", **facts)
  end
  let(:turtle) do
    StringIO.new.tap { |io| described_class::Writer.new.call(thesaurus, io, sample: true) }.string
  end

  def read(text, format: described_class.detect(text))
    described_class::Reader.new.call(StringIO.new(text), format:)
  end

  # Names in order, and a URI made of the label not kept: how the reader gives headings back.
  def sorted(headings)
    headings.sort_by(&:label).map do |one|
      one.with(also_called: one.also_called.sort, related: one.related.sort, aspects: one.aspects.sort,
               broader: one.broader.sort)
    end
  end

  # Source: the rdf gems, which parse what we write and write what we read, in each of the three
  # forms.
  it "reads back from Turtle, N-Triples and RDF/XML what it wrote, by way of another library", :outside do
    graph = RDF::Graph.new << RDF::Turtle::Reader.new(turtle, validate: true)
    texts = { turtle:, ntriples: graph.dump(:ntriples), rdfxml: graph.dump(:rdfxml) }
    texts.each do |format, text|
      expect(described_class.detect(text[0, 4000])).to eq(format)
      result = read(text)
      expect([format, result.errors,
              sorted(result.headings)]).to eq([format, [], sorted(thesaurus.headings)])
    end
  end

  # Source: W3C SKOS Reference, 2009: integrity conditions S13, S14 and S27; narrower is the inverse
  # of broader (S25).
  it "names the concept at which a condition of SKOS is broken" do
    prefix = "@prefix skos: <#{described_class::CORE}> .\n@prefix : <http://example.org/> .\n"
    {
      ':a a skos:Concept ; skos:prefLabel "A" ; skos:altLabel "A" .' => /A has “A” as both prefLabel and altLabel \(S13\)/,
      ':a skos:prefLabel "A", "B" .' => %r{http://example.org/a has several preferred labels: A, B \(S14\)},
      ':a skos:prefLabel "A" . :b skos:prefLabel "B" ; skos:broader :a . ' \
      ':c skos:prefLabel "C" ; skos:broader :b ; skos:related :a .' =>
        /C and A are related, and one lies above the other \(S27\)/,
      ':a skos:prefLabel "A" ; skos:broader :b . :b skos:prefLabel "B" ; skos:broader :a .' => /lies below itself: A < B < A/,
      ':a skos:prefLabel "A" ; skos:broader :gone .' => %r{A names “http://example.org/gone”},
      ':a skos:prefLabel "A"@fr ; a skos:Concept .' => /no preferred label in en/
    }.each do |text, message|
      expect([text,
              read(prefix + text, format: :turtle).errors.join("\n")]).to match([text, message])
    end
    good = read("#{prefix}:a skos:prefLabel \"A\"@en, \"Ah\"@fr ; skos:narrower :b . " \
                ":b skos:prefLabel \"B\" ; skos:altLabel \"A b\"@en-GB .", format: :turtle)
    expect([good.errors, good.headings.map { |one| [one.label, one.broader, one.also_called] }])
      .to eq([[], [["A", [], []], ["B", ["A"], ["A b"]]]])
  end

  it "says where a file is no RDF, and reads nothing that it names from outside" do
    expect { read("@prefix skos: <x> .\n:a skos:prefLabel .", format: :turtle) }
      .to raise_error(Hobrin::InputError, /not Turtle/)
    expect { read("<a> <b> oops", format: :ntriples) }.to raise_error(Hobrin::InputError)
    expect { read("<?xml version='1.0'?><a><b></a>", format: :rdfxml) }
      .to raise_error(Hobrin::InputError)
    entity = <<~XML
      <?xml version="1.0"?><!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]>
      <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns:skos="#{described_class::CORE}">
      <skos:Concept rdf:about="urn:a"><skos:prefLabel>A &e;</skos:prefLabel></skos:Concept></rdf:RDF>
    XML
    read = begin
      read(entity, format: :rdfxml).headings.map(&:label).join
    rescue Hobrin::InputError => e
      e.message
    end
    expect(read).not_to include("root:")
  end
end
