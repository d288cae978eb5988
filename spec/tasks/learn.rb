# frozen_string_literal: true

# Makes learning/learned.txt.gz and the figures of docs/asking.md anew; `rake learn` runs it.
require_relative "../../config/boot"

thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
Hobrin::Learning::Study.new(thesaurus:).call
learned = Hobrin::Question::Understanding::Learned.parse(Zlib.gunzip(File.binread(Hobrin::Learning::Study::FOUR_FIFTHS)))
understanding = Hobrin::Question::Understanding.new(learned, thesaurus)
page = Hobrin::Learning::Page
text = page.new(YAML.safe_load_file(Hobrin::Learning::Study::FIGURES),
                understanding).call(File.read(page::FILE))
File.write(page::FILE, text)
