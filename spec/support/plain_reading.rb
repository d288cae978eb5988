# frozen_string_literal: true

# The slow and obvious way: what a strategy means, read off records one by one with nothing but
# Ruby's own strings and arrays. Shares no code with the core, so that the two can disagree.
class PlainReading
  LISTS = { type: :types, age: :ages, sex: :sex, species: :species }.freeze

  # records :: Array of Record, numbered from 1 in that order; headings :: Array of
  #   Thesaurus::Heading
  def initialize(records, headings)
    @records = records
    @below = headings.to_h do |one|
      [one.label, headings.select { |other| other.broader.include?(one.label) }.map(&:label)]
    end
    @words = {}
    @patterns = {}
  end

  # The numbers of the records that a tree finds.
  def call(tree)
    @records.each_index.filter_map { |place| place + 1 if match?(@records[place], tree) }
  end

  def match?(record, tree)
    case tree
    when Hobrin::Strategy::AnyOf then tree.parts.any? { |part| match?(record, part) }
    when Hobrin::Strategy::AllOf then tree.parts.all? { |part| match?(record, part) }
    when Hobrin::Strategy::Except then match?(record, tree.kept) && !match?(record, tree.excluded)
    when Hobrin::Strategy::TextTerm then texts(record, tree).any? { |text| text.match?(pattern(tree.text)) }
    when Hobrin::Strategy::WholeText then texts(record, tree).any? { |text| text.match?(/\A #{masked(tree.text)} \z/) }
    when Hobrin::Strategy::Proximity then texts(record, tree).any? { |text| near?(text, tree) }
    when Hobrin::Strategy::Heading then heading?(record, tree)
    when Hobrin::Strategy::Limit then limit?(record, tree)
    when Hobrin::Strategy::Dates then date?(tree.name == :dates ? record.published : record.added,
                                            tree)
    when Hobrin::Strategy::Author then record.authors.any? { |author| author?(author, tree) }
    when Hobrin::Strategy::Journal then tree.values.include?(record.journal)
    when Hobrin::Strategy::Identifier then [record.id,
                                            record.doi].compact.map(&:downcase).include?(tree.value)
    when Hobrin::Strategy::Everything then true
    end
  end

  # Labels of a heading and everything below it.
  def below(label) = [label, *@below.fetch(label, []).flat_map { |child| below(child) }]

  private

  FRACTIONS = "¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅟↉"
  UNSEEN = "\u00AD\u034F\u200C\u200D\u2060\uFEFF"
  private_constant :FRACTIONS, :UNSEEN

  # The words of a text with one space around each. Kept, since the same texts are read thousands of
  # times.
  def spread(text) = @words[text] ||= " #{plain(text.to_s)} "

  # Letter by letter: what is no letter, digit or mark becomes a space, then the rest loses its
  # case, its marks and its shape.
  def plain(text)
    cut = text.chars.map do |char|
      if UNSEEN.include?(char) then ""
      elsif FRACTIONS.include?(char) then " #{char} "
      else char.match?(/\p{L}|\p{N}|\p{M}/) ? char : " "
      end
    end
    bare = ->(one) { one.unicode_normalize(:nfkd).gsub(/\p{Mn}|\p{Me}/, "") }
    bare.call(bare.call(cut.join).downcase(:fold)).unicode_normalize(:nfc).gsub(
      /[^\p{L}\p{N}\p{M}]+/, " "
    ).strip
  end

  def texts(record, leaf)
    all = { title: [record.title], abstract: [record.abstract], keywords: record.keywords,
            headings: record.headings.map(&:label) }
    leaf.fields.flat_map { |field| all.fetch(field) }.map { |text| spread(text) }
  end

  # A phrase as it must stand in a spread text.
  def pattern(phrase)
    @patterns[phrase] ||= / (?=#{masked(phrase)} )/
  end

  def masked(phrase)
    Regexp.escape(phrase).gsub("\\ ", " ").gsub("\\*", "[^ ]*").gsub("\\?", "[^ ]")
  end

  # Places, counted in words, at which the phrase begins.
  def starts(text, phrase)
    found = []
    text.scan(pattern(phrase)) { found << text[0...Regexp.last_match.begin(0)].count(" ") }
    found
  end

  def near?(text, leaf)
    lefts, rights = [leaf.left, leaf.right].map do |side|
      starts(text, side).map do |at|
        [at, at + side.split.size]
      end
    end
    lefts.product(rights).any? do |left, right|
      between = [right[0] - left[1], left[0] - right[1]]
      (leaf.ordered ? between[0] : between.max).between?(0, leaf.distance - 1)
    end
  end

  def heading?(record, leaf)
    labels = leaf.narrower ? below(leaf.label) : [leaf.label]
    record.headings.any? do |one|
      (leaf.label == "*" || labels.include?(one.label)) && (one.main || !leaf.main) &&
        (leaf.aspects.empty? || one.aspects.intersect?(leaf.aspects))
    end
  end

  def limit?(record, leaf)
    said = case leaf.name
           when :language then [record.language]
           when :place then [record.country]
           when :flag then flags(record)
           else record.public_send(LISTS.fetch(leaf.name))
           end
    said.intersect?(leaf.values)
  end

  def flags(record)
    [*record.flags, (record.abstract.to_s.empty? ? nil : "has abstract"), ("nurse author" if record.authors.any?(&:nurse)),
     ("nurse first author" if record.authors.any? && record.authors[0].nurse)]
  end

  def date?(date, leaf)
    return false if date.nil?

    [[leaf.from, 1], [leaf.to, -1]].all? do |bound, sign|
      next true if bound.nil?

      one, two = [date, bound].map { |text| text.split("-").map(&:to_i) }
      exact = [one.size, two.size].min
      (one.first(exact) <=> two.first(exact)) * sign >= 0
    end
  end

  def author?(author, leaf)
    family = spread(author.family).strip
    stem = leaf.family.delete_suffix("*")
    letters = author.given.to_s.split(/[\s.-]+/).map { |part| spread(part).strip[0] }.join
    (leaf.family == stem ? family == stem : family.start_with?(stem)) && letters.start_with?(leaf.initials)
  end
end
