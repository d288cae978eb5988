# frozen_string_literal: true

# Random strategies over the words, headings and facets that the sample library really has.
class RandomStrategies
  TYPED = ["earplug*", "ear plugs", "eye mask*", "sleep*", "deliri*", "intensive care", "randomised", "randomized",
           "confusion",
           "usual care", "music", "zebra", "noise"].freeze

  def initialize(seed, thesaurus)
    @random = Random.new(seed)
    @labels = thesaurus.headings.map(&:label)
  end

  def tree(depth = 3)
    return leaf if depth.zero? || @random.rand < 0.3

    case @random.rand(3)
    when 0 then Hobrin::Strategy::AnyOf.of(Array.new(@random.rand(1..4)) { tree(depth - 1) })
    when 1 then Hobrin::Strategy::AllOf.of(Array.new(@random.rand(1..3)) { tree(depth - 1) })
    else Hobrin::Strategy::Except.new(kept: tree(depth - 1), taken: tree(depth - 1))
    end
  end

  def leaf
    case @random.rand(5)
    when 0, 1 then Hobrin::Strategy::Words.read(pick(TYPED), fields: some(Hobrin::Strategy::Words::FIELDS.keys))
    when 2, 3 then Hobrin::Strategy::Heading.new(label: pick(@labels), narrower: coin, main: coin)
    else limit
    end
  end

  def limit
    name = pick(%i[type age dates])
    return Hobrin::Strategy::Limit.new(name:,
                                       values: some(Hobrin::Strategy::Limit::KNOWN.fetch(name))) unless name == :dates

    from, to = Array.new(2) { @random.rand(2004..2026) }.minmax
    Hobrin::Strategy::Dates.new(from_year: from, to_year: to)
  end

  def block(letter)
    terms = Array.new(@random.rand(1..6)) do |id|
      Hobrin::Strategy::Term.new(id:, leaf: words_or_heading, crossed_out: (@random.rand < 0.2 ? "" : nil))
    end
    Hobrin::Strategy::Block.new(letter:, terms:)
  end

  def limits
    Array.new(@random.rand(0..3)) { limit }.uniq(&:name).map { |leaf| Hobrin::Narrowing::PlacedLimit.new(leaf:, on: @random.rand < 0.8) }
  end

  private

  def words_or_heading
    loop { leaf.then { |found| return found unless found.respond_to?(:values) || found.respond_to?(:from_year) } }
  end

  def pick(list) = list[@random.rand(list.size)]
  def some(list) = list.sample(@random.rand(1..3), random: @random)
  def coin = @random.rand < 0.5
end
