# frozen_string_literal: true

# Random strategies over the words, headings and facets that a library really has.
class RandomStrategies
  TYPED = ["earplug*", "ear plugs", "eye mask*", "sleep*", "deliri*", "intensive care", "randomised", "randomi?ed",
           "confusion", "usual care", "music", "zebra", "noise", "int*ve care", "pati*ts", "s??ep qual*"].freeze
  NEAR = ["sleep", "earplug*", "intensive care", "noise", "delirium", "eye mask*", "patients",
          "care", "night"].freeze
  S = Hobrin::Strategy

  # records :: some that the library holds, for names of authors, journals and the like
  def initialize(seed, thesaurus, records)
    @random = Random.new(seed)
    @labels = thesaurus.headings.map(&:label)
    @records = records
  end

  # A tree of leaves that the block gives, of any leaf without one.
  def tree(depth = 3, &leaf)
    return leaf ? yield : any_leaf if depth.zero? || @random.rand < 0.3

    case @random.rand(3)
    when 0 then S::AnyOf.of(Array.new(@random.rand(1..4)) { tree(depth - 1, &leaf) })
    when 1 then S::AllOf.of(Array.new(@random.rand(1..3)) { tree(depth - 1, &leaf) })
    else S::Except.new(kept: tree(depth - 1, &leaf), excluded: tree(depth - 1, &leaf))
    end
  end

  def any_leaf
    case @random.rand(9)
    when 0, 1 then words
    when 8 then whole
    when 2 then heading
    when 3 then near
    when 4, 5 then limit
    else named
    end
  end

  def words = S::TextTerm.read(pick(TYPED), fields: some(S::TextTerm::FIELDS.keys))

  def whole
    record = pick(@records)
    text = pick([record.title, *record.keywords, *record.headings.map(&:label)])
    S::WholeText.new(text: Hobrin::Text::Tokens.line(text), fields: some(S::TextTerm::FIELDS.keys))
  end

  def near
    S::Proximity.new(left: pick(NEAR), right: pick(NEAR), distance: @random.rand(1..12),
                     ordered: coin, fields: some(S::TextTerm::FIELDS.keys))
  end

  def heading
    with = @records.flat_map(&:headings).select { |one| one.aspects.any? }
    return S::Heading.new(label: pick(@labels), narrower: coin, main: coin) if with.empty? || coin

    one = pick(with)
    return S::Heading.new(label: "*", main: coin, aspects: coin ? [] : some(one.aspects)) if @random.rand < 0.1

    S::Heading.new(label: one.label, narrower: coin, main: coin, aspects: some(one.aspects))
  end

  def limit
    case @random.rand(4)
    when 0 then dates
    when 1 then S::Limit.new(name: :place, values: [@records.filter_map(&:country).then { |all| pick(all) }])
    else
      name = pick(S::Limit::KNOWN.keys)
      S::Limit.new(name:, values: some(S::Limit::KNOWN.fetch(name)))
    end
  end

  def dates
    ends = Array.new(2) { date }.sort
    ends[@random.rand(2)] = nil if @random.rand < 0.3
    S::Dates.new(name: pick(S::Dates::NAMES), from: ends[0], to: ends[1])
  end

  # As exact as chance has it: 2016, 2016-03 or 2016-03-01.
  def date
    Date.new(@random.rand(2004..2026), @random.rand(1..12), @random.rand(1..28)).iso8601[0,
                                                                                         pick([4,
                                                                                               7, 10])]
  end

  def named
    record = pick(@records)
    author = pick(record.authors)
    case @random.rand(5)
    when 0 then S::Author.read(pick([author.family, "#{author.family}, #{author.given}",
                                     "#{author.family[0, 4]}*"]))
    when 1 then S::Journal.named(record.journal)
    when 2 then S::Identifier.read(record.doi.upcase)
    when 3 then S::Everything.new
    else S::Limit.new(name: :language, values: %w[eng fra])
    end
  end

  def block(key)
    terms = Array.new(@random.rand(1..6)) do |id|
      S::Block::Term.new(id:, leaf: coin ? words : heading, crossed_out: (@random.rand < 0.2 ? "" : nil))
    end
    S::Block.new(key:, terms:)
  end

  def limits
    Array.new(@random.rand(0..3)) { limit }.uniq(&:name).map { |leaf| Hobrin::Narrowing::AppliedLimit.new(leaf:, on: @random.rand < 0.8) }
  end

  def pick(list) = list[@random.rand(list.size)]
  def some(list) = list.sample(@random.rand(1..3), random: @random)
  def coin = @random.rand < 0.5
end
