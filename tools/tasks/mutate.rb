# frozen_string_literal: true

# Tries the specs of the rules, for docs/testing.md; `rake mutate` runs it. Files may be named, and SHARE=0.2
# tries a fifth of the mutants.
require "English"
require "timeout"
require_relative "../load"

$LOAD_PATH.unshift("spec")
Hobrin.eager_load
files = ARGV.empty? ? Hobrin::Tools::Mutation::RULES.keys : ARGV
results = Hobrin::Tools::Mutation.new(files:, share: Float(ENV.fetch("SHARE", "1"))).call
killed, tried = results.values.transpose.map(&:sum)
puts "", "#{killed} of #{tried} killed: #{(100.0 * killed / tried).round} %"
