# frozen_string_literal: true

# Makes config/learned.txt.gz and the figures of docs/asking.md anew; `rake learn` runs it.
require_relative "../load"

thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
Hobrin::Tools::Learning::Study.new(thesaurus:).call
learned = Hobrin::Question::Understanding::Learned.parse(Zlib.gunzip(File.binread(Hobrin::Tools::Learning::Study::FOUR_FIFTHS)))
understanding = Hobrin::Question::Understanding.new(learned, thesaurus)
page = Hobrin::Tools::Learning::Measure::Page
text = page.new(YAML.safe_load_file(Hobrin::Tools::Learning::Study::FIGURES),
                understanding).call(File.read(page::FILE))
File.write(page::FILE, text)
