# frozen_string_literal: true

# What fhir_models makes of bundles of FHIR R5: reads a list of them from standard input, writes for
# each what is wrong in it and in each of its resources. A program of its own, since the gem opens
# names of others.
require "json"
require "rubygems/package"
require "zlib"
require "fhir_models"
require "fhir_models/r5"

FHIR.logger.level = Logger::FATAL

# The code systems of R5 as HL7 publishes them, out of the package that the gem brings: Hash of address to a Hash of code to
# display.
package = File.join(Gem.loaded_specs["fhir_models"].full_gem_path, "lib/fhir_models/igs/hl7.fhir.r5.core.tgz")
wanted = %w[certainty-type certainty-rating statistic-model-code focus-characteristic-code cited-artifact-status-type]
SYSTEMS = Gem::Package::TarReader.new(Zlib::GzipReader.open(package)).filter_map do |entry|
  next unless wanted.any? { |name| entry.full_name == "package/CodeSystem-#{name}.json" }

  system = JSON.parse(entry.read)
  [system["url"], system["concept"].to_h { |one| [one["code"], one["display"]] }]
end.to_h
raise "code systems are missing" unless SYSTEMS.size == wanted.size

# What is wrong with the codes in a bundle, in sentences.
def wrong_codes(part)
  case part
  when Array then part.flat_map { |one| wrong_codes(one) }
  when Hash
    known = SYSTEMS[part["system"]]
    wrong = known && (!known.key?(part["code"]) || (part["display"] && part["display"] != known[part["code"]]))
    [("#{part} is not in R5" if wrong), *part.each_value.flat_map { |one| wrong_codes(one) }].compact
  else []
  end
end

answers = JSON.parse($stdin.read).map do |text|
  bundle = FHIR::R5::Json.from_json(text)
  resources = bundle.entry.map do |entry|
    entry.resource ? entry.resource.validate : { "resource" => ["cannot be read"] }
  end
  codes = wrong_codes(JSON.parse(text))
  [bundle.validate, *resources, codes.empty? ? {} : { "codes" => codes }]
end
$stdout.write(JSON.generate(answers))
