# frozen_string_literal: true

# How often each rule of the charts calls noise a change, and how often it finds one, by drawing
# made-up weeks: shares of 30 people a week, 0.30 before. Prints the tables of docs/acting.md. The
# series are drawn from binomials that know nothing of the rules; they are ours all the same, and
# real weeks are less even.
require_relative "../../lib/hobrin"

SERIES = 4_000
PEOPLE = 30
RANDOM = Random.new(2026)

def draw(share, weeks) = Array.new(weeks) { [Array.new(PEOPLE) { RANDOM.rand }.count { |one| one < share }, PEOPLE] }

# Hash of a rule to whether it sees a change.
def signs(before, after)
  points = [*before, *after].each_with_index.map do |(events, of), week|
    Hobrin::Brief::Measure::Point.new(day: Date.new(2026, 1, 5) + (7 * week), events:, of:)
  end
  started = points[before.size].day
  reading = Hobrin::Brief::Measure::Reading.new(Hobrin::Brief::Measure.new(id: 1, name: "A share", started:, points:))
  run = reading.run
  found = run&.call
  outside = (reading.control&.outside || []).any? { |place| place >= before.size }
  { "a long run, or few crossings" => found&.sign?, "six on one side, or five that go on" => run&.shift? || run&.trend?,
    "a point outside the limits" => outside, "said to be a change" => reading.sign? }
end

puts "| before, after | share after | #{signs(draw(0.3, 12), draw(0.3, 12)).keys.join(" | ")} |"
puts "| --- | --- |#{" ---: |" * 4}"
[[12, 12], [16, 12], [16, 24], [24, 24]].each do |before, after|
  [0.30, 0.25, 0.20, 0.15].each do |share|
    drawn = Array.new(SERIES) { signs(draw(0.3, before), draw(share, after)) }
    rates = drawn.first.keys.map { |rule| "#{(100.0 * drawn.count { |one| one[rule] } / SERIES).round} %" }
    puts "| #{before}, #{after} | #{format("%.2f", share)} | #{rates.join(" | ")} |"
  end
end
