# frozen_string_literal: true

# What fhir_models makes of a bundle of FHIR R5: reads it from standard input, writes what is wrong
# in the bundle and in each resource. A program of its own, since the gem opens names of others.
require "json"
require "fhir_models"
require "fhir_models/r5"

FHIR.logger.level = Logger::FATAL
bundle = FHIR::R5::Json.from_json($stdin.read)
resources = bundle.entry.map { |entry| entry.resource ? entry.resource.validate : { "resource" => ["cannot be read"] } }
$stdout.write(JSON.generate([bundle.validate, *resources]))
