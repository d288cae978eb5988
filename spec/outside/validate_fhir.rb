# frozen_string_literal: true

# What fhir_models makes of bundles of FHIR R5: reads a list of them from standard input, writes for
# each what is wrong in it and in each of its resources. A program of its own, since the gem opens
# names of others.
require "json"
require "fhir_models"
require "fhir_models/r5"

FHIR.logger.level = Logger::FATAL
answers = JSON.parse($stdin.read).map do |text|
  bundle = FHIR::R5::Json.from_json(text)
  resources = bundle.entry.map do |entry|
    entry.resource ? entry.resource.validate : { "resource" => ["cannot be read"] }
  end
  [bundle.validate, *resources]
end
$stdout.write(JSON.generate(answers))
