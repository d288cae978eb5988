# frozen_string_literal: true

# The slow and obvious way: what a strategy means, read off records one by one with nothing but Ruby's own
# strings and arrays. Shares no code with the core, so that the two can disagree.
module PlainReading
  module_function

  # Kept for each text, since the same ones are read thousands of times.
  def spread(text)
    @spread ||= {}
    @spread[text] ||= text.to_s.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").downcase
                          .gsub(/[^\p{L}\p{N}]+/, " ").strip.then { |plain| " #{plain} " }
  end

  def words?(record, leaf)
    wanted = " #{leaf.text.delete_suffix("*")}#{" " unless leaf.text.end_with?("*")}"
    texts = { title: [record.title], abstract: [record.abstract], keywords: record.keywords }
    leaf.fields.any? { |field| texts.fetch(field).any? { |text| spread(text).include?(wanted) } }
  end

  # narrower :: Hash of label to labels below it, direct ones only
  def match?(record, tree, narrower)
    case tree
    when Hobrin::Strategy::AnyOf then tree.parts.any? { |part| match?(record, part, narrower) }
    when Hobrin::Strategy::AllOf then tree.parts.all? { |part| match?(record, part, narrower) }
    when Hobrin::Strategy::Except then match?(record, tree.kept, narrower) && !match?(record, tree.taken, narrower)
    when Hobrin::Strategy::Words then words?(record, tree)
    when Hobrin::Strategy::Heading then heading?(record, tree, narrower)
    when Hobrin::Strategy::Limit then record.public_send({ type: :types,
                                                           age: :ages }.fetch(tree.name)).intersect?(tree.values)
    when Hobrin::Strategy::Dates then !record.year.nil? && record.year.between?(tree.from_year || 0,
                                                                                tree.to_year || 9999)
    end
  end

  def heading?(record, leaf, narrower)
    labels = leaf.narrower ? below(leaf.label, narrower) : [leaf.label]
    record.headings.any? { |one| labels.include?(one.label) && (one.main || !leaf.main) }
  end

  def below(label, narrower) = [label, *narrower.fetch(label, []).flat_map { |child| below(child, narrower) }]
end
