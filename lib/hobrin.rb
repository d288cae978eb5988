# frozen_string_literal: true

require "date"
require "json"
require "zeitwerk"

# The core of Hobrin: what a question, a search, a limit, a decision and a brief mean, with no
# interface and no database. Loading this file alone gives all of it.
#
# A question flows through the stages in the order of STAGES. LAYERS is the whole order of the core:
# each names only earlier ones, which spec/layout_spec.rb holds.
module Hobrin
  STAGES = %i[question strategy retrieval narrowing screening appraisal brief].freeze

  LAYERS = [:book, :error, :input_error, :state_error, :gone_error, :conflict_error, :unavailable_error, :refused_error,
            :value, :field_lengths, :deadline, :text, :records, :thesaurus, :statistics, :close_reading, *STAGES, :inquiry, :check, :edits,
            :trail, :exchange, :catalogue, :people].freeze

  LOADER = Zeitwerk::Loader.new.tap do |loader|
    loader.tag = "hobrin"
    loader.push_dir(__dir__)
    loader.setup
  end
  private_constant :LOADER

  # Loads every file of the core now, so that a slip in a name shows at start and not on first use.
  def self.eager_load = LOADER.eager_load
end
