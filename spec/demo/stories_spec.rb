# frozen_string_literal: true

require "yaml"

# Every made-up abstract is read again, by formulas written here: what it concludes must follow from
# its numbers, its measure from its design, and the names of things must differ from paper to paper.
RSpec.describe "The stories of the sample", :slow do
  let(:records) { SampleHome.records }
  let(:docs) { File.read(File.expand_path("../../docs/sample.md", __dir__)) }

  let(:says) do
    { overclaim: /Success for/, uncertain: /cannot be told|as well as harm|do not tell/,
      alike: /little or no difference|about alike/, more: /may do harm/,
      less: /ewer|may help|lower|may ease/ }
  end
  let(:comparing) do
    ["randomized controlled trial", "controlled trial", "cohort study", "before-and-after study", "cost analysis",
     "meta-analysis", "case-control study"]
  end
  let(:z) { 1.959964 }

  # The results and the conclusion of a generated paper that compares, or nil.
  def told(record)
    return unless record.id.match?(/\.\d{5}\z/)

    record.abstract.to_s.match(/Results: (?<results>.*) Conclusion: (?<conclusion>.*)\z/m)
  end

  # Array of [record, what it tells, ends and nothing].
  def compared
    told_by = records.to_h { |record| [record, told(record)] }.compact
    told_by.filter_map do |record, one|
      (ends = interval(record, one[:results])) && [record, one, ends]
    end
  end

  # The ends of the interval and what stands for no difference.
  def interval(record, results)
    if (scale = results.match(/rated ([\d.]+) \(SD ([\d.]+)\) in (\d+) .*? and ([\d.]+) \(SD ([\d.]+)\) in (\d+)/))
      one, sd, n, other, sd2, n2 = scale.captures.map(&:to_f)
      error = z * Math.sqrt((sd**2 / n) + (sd2**2 / n2))
      return [one - other - error, one - other + error, 0.0]
    end
    counts = results.match(/(\d+) of (\d+) \([\d.]+%\) [^.]*? and (\d+) of (\d+) \([\d.]+%\)/)
    return unless counts && (record.types.intersect?(comparing) || results.include?(" ratio "))

    [*ratio(results, *counts.captures.map(&:to_f)), 1.0]
  end

  def ratio(results, a, n1, c, n2)
    estimate, variance = case results
                         when /odds ratio/
                           [(a / (n1 - a)) / (c / (n2 - c)),
                            (1 / a) + (1 / (n1 - a)) + (1 / c) + (1 / (n2 - c))]
                         when /hazard ratio/ then [Math.log(1 - (a / n1)) / Math.log(1 - (c / n2)),
                                                   (1 / a) + (1 / c)]
                         else [(a / n1) / (c / n2), (1 / a) - (1 / n1) + (1 / c) - (1 / n2)]
                         end
    [-1, 1].map { |sign| estimate * Math.exp(sign * z * Math.sqrt(variance)) }
  end

  it "concludes from its numbers, harm and doubt among it, but for the few that are listed" do
    verdicts = compared.map do |record, one, (low, high, nothing)|
      said = says.find { |_, words| one[:conclusion].match?(words) }&.first
      printed = one[:results][/95% CI -?[\d.]+ to -?[\d.]+/]&.scan(/(?<= )-?[\d.]+(?= |\z)/)&.map(&:to_f)
      expect([record.id, printed]).to match([record.id, match([be_within(0.011).of(low), be_within(0.011).of(high)])]) if printed
      allowed = if high.round(2) < nothing then [:less]
                elsif low.round(2) > nothing then [:more]
                else %i[uncertain alike overclaim]
                end
      expect([record.id, low, high, allowed.include?(said)]).to eq([record.id, low, high, true]),
                                                                "#{record.id} #{said} #{one}"
      said
    end
    tally = verdicts.tally
    expect(tally.values_at(:less, :more, :uncertain, :alike)).to all(be > 200)
    listed = docs[/claim more than their numbers.*?\n\n(.*?)\n\n/m,
                  1].scan(/[a-z0-9-]*\d{4,5}[a-z-]*/)
    claims = compared.filter_map do |record, one, _|
      record.id.split(".").last if one[:conclusion].match?(says[:overclaim])
    end
    expect(listed).to match_array([*claims, "bundle-2017", "trial-2015-old", "ward-2022"])
  end

  it "measures as its design allows, and is made as it is called" do
    compared.each do |record, one, _|
      type = record.types.first
      ratio = one[:results][/(risk|odds|hazard) ratio/, 1]
      expect([record.id, type, ratio]).to match([record.id, type, "odds"]) if type == "case-control study"
      expect([record.id, ratio]).not_to eq([record.id, "hazard"]) unless type.nil? || type == "cohort study"
      next unless type == "randomized controlled trial"

      cluster = record.title.match?(/cluster|by ward/)
      expect([record.id,
              record.abstract.include?("Wards, not persons")]).to eq([record.id, cluster])
      one, other = one[:results].scan(/\d+ of (\d+)|SD [\d.]+\) in (\d+)/).first(2).map do |pair|
        pair.compact.first.to_i
      end
      expect([record.id, (one - other).abs]).to match([record.id, be <= (cluster ? one * 0.16 : 3)])
    end
    records.each do |record|
      text = record.abstract.to_s
      expect([record.id, text]).not_to match([record.id, /plan to randomi/]) if record.title.include?("protocol of a cohort")
      expect([record.id, text]).not_to match([record.id, /one person/]) if record.title.include?("two cases")
      cells = text.match(/Of (\d+) people (\d+) had.*: (\d+) true and (\d+) false pos\w+, (\d+) false and (\d+)/)
      next unless cells

      people, ill, *four = cells.captures.map(&:to_i)
      expect([record.id, four.sum, four[0] + four[2]]).to eq([record.id, people, ill])
    end
  end

  # How many papers of each topic only another name finds: as docs/sample.md states it.
  it "calls things by several names, so that in fifty topics one paper in ten is found by another name only" do
    data, names = %w[topics other_names].map do |file|
      YAML.load_file(File.expand_path("../../demo/#{file}.yml", __dir__))
    end
    at = YAML.load_file(File.expand_path("../../demo/papers.yml", __dir__)).size
    rows = Hobrin::Demo::SampleLibrary.new.topics.map do |topic, papers|
      first, other = topic["outcomes"].map do |key|
        [data["outcomes"][key]["text"], names["outcomes"].dig(key, "names").to_a.compact]
      end
                                      .transpose.map { |texts| texts.flatten.map(&:downcase) }
      texts = records[at, papers].map do |one|
        [one.title, one.abstract, *one.keywords].join(" ").downcase
      end
      at += papers
      only = texts.count do |text|
        first.none? { |name| text.include?(name) } && other.any? { |name| text.include?(name) }
      end
      [topic["outcomes"].map { |key| data["outcomes"][key]["text"] }.join(", "), papers, only]
    end
    expect(rows.count { |_, papers, only| only > papers / 10.0 }).to be >= 50
    expect(docs.scan(/^\| ([^|]+) \| (\d+) \| (\d+) \|$/).map { |name, *two| [name, *two.map(&:to_i)] }).to eq(rows)
    abbreviated = records.count { |record| record.abstract.to_s.match?(/\([A-Z]{2,5}\)/) }
    expect(abbreviated).to be > 100
  end
end
