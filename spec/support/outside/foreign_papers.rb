# frozen_string_literal: true

require "oai"

# Records in memory for a provider of the oai gem.
class ForeignPapers < OAI::Provider::Model
  Paper = Struct.new(:id, :updated_at, :gone, :title) do
    def deleted? = gone

    def to_oai_dc
      "<oai_dc:dc xmlns:oai_dc=\"http://www.openarchives.org/OAI/2.0/oai_dc/\" " \
        "xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><dc:title>#{title || "Foreign paper #{id}"}</dc:title>" \
        "<dc:date>2024</dc:date></oai_dc:dc>"
    end
  end

  attr_reader :papers

  def initialize(papers)
    super(40, "updated_at")
    @papers = papers
  end

  def earliest = papers.map(&:updated_at).min
  def latest = papers.map(&:updated_at).max
  def deleted?(paper) = paper.deleted?

  def find(selector, options = {})
    return papers.find { |one| one.id == selector.to_i } unless selector == :all

    token = options[:resumption_token] && OAI::Provider::ResumptionToken.parse(options[:resumption_token])
    asked = token ? token.to_conditions_hash : options
    from = asked[:from] && Time.parse(asked[:from].to_s)
    some = papers.select { |one| from.nil? || one.updated_at >= from }
    part(some, token ? token.last : 0, asked)
  end

  private

  def part(some, after, asked)
    given = some.select { |one| one.id > after }.first(limit)
    return given if given.empty? || given.last.id == some.last.id

    options = { metadata_prefix: "oai_dc", from: asked[:from], until: asked[:until],
                last: given.last.id }.compact
    OAI::Provider::PartialResult.new(given, OAI::Provider::ResumptionToken.new(options))
  end
end
