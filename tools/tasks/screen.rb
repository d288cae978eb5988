# frozen_string_literal: true

# Tries the likeliest-first order on the sample's inquiries and writes the tables of
# docs/sifting.md.
require "tmpdir"
require_relative "../load"

SEEDS = (1..5)
PAGE = File.expand_path("../../docs/sifting.md", __dir__)

Dir.mktmpdir do |folder|
  context = Hobrin::Boot.context(home: Pathname(folder), who: "a try")
  Hobrin::Demo::Sample.new(context).load
  runs = Hobrin::Tools::Learning::Screening.piles(context).flat_map do |pile|
    screening = Hobrin::Tools::Learning::Screening.new(pile, context.library.likeness)
    SEEDS.map { |seed| screening.call(seed) }
  end
  page = Hobrin::Tools::Learning::Screening::Page.new(runs)
  File.write(PAGE, page.call(File.read(PAGE)))
end
