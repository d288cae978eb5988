# frozen_string_literal: true

require_relative "../config/boot"

module Hobrin
  # What measures Hobrin, tries how much it bears, and makes what it has learnt. Nothing that serves
  # needs any of it; who does says `require "./tools/load"`.
  module Tools
    # How it learns to understand questions.
    module Learning; end
    # How fast it is, beside peers in the same run.
    module Benchmarks; end
    # How much it bears.
    module Stress; end

    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "hobrin-tools"
      loader.push_dir(__dir__, namespace: Tools)
      loader.ignore(__FILE__, File.join(__dir__, "tasks"), File.join(__dir__, "benchmarks/serving.rb"))
      loader.setup
    end
    private_constant :LOADER
  end
end
