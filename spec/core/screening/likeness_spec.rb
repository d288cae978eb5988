# frozen_string_literal: true

RSpec.describe Hobrin::Screening::Likeness do
  let(:records) { LikenessMaterial.records }
  let(:likeness) { LikenessMaterial.likeness }

  # Values made once by scikit-learn 1.2.1's TfidfVectorizer (sublinear_tf, smooth_idf, l2):
  # spec/outside/scikit_learn.py.
  it "gives the cosines that scikit-learn gives" do
    outside = JSON.parse(File.read("spec/fixtures/scikit_learn/sift.json"))
    outside.fetch("cosines").each do |one, two, cosine|
      vectors = [one, two].map { |place| likeness.vector(records[place]) }
      expect([one, two, likeness.cosine(*vectors)]).to match([one, two, be_within(1e-9).of(cosine)])
    end
  end

  # The formula once more, word by word, in the longest way.
  it "agrees with a plain computation" do
    texts = LikenessMaterial.texts.map(&:split)
    weigh = lambda do |words|
      words.uniq.to_h do |word|
        having = texts.count { |text| text.include?(word) }
        [word, (1 + Math.log(words.count(word))) * (1 + Math.log(201.0 / (1 + having)))]
      end
    end
    [[3, 17], [0, 5], [44, 45]].each do |one, two|
      first, second = weigh[texts[one]], weigh[texts[two]]
      dot = (first.keys & second.keys).sum { |word| first[word] * second[word] }
      plain = dot / Math.sqrt(first.values.sum { |x| x**2 } * second.values.sum { |x| x**2 })
      expect(likeness.cosine(likeness.vector(records[one]),
                             likeness.vector(records[two]))).to be_within(1e-12).of(plain)
    end
  end
end

RSpec.describe Hobrin::Store::Library::Nearness::Alike, :sample do
  # Everything compared with everything: the lists have the same likeness, and nearly the same
  # papers, since only those that share the weightiest words are looked at.
  it "finds nearly all of the ten papers that are most alike" do
    library = context.library
    likeness = library.likeness
    all = library.numbered_all(library.index.everything.to_a.first(2_500)).to_h do |record|
      [record, likeness.vector(record)]
    end
    found = all.keys.sample(15, random: Random.new(3)).map do |record|
      near = library.alike(record, limit: 60)
      near.first(3).each do |other, like|
        expect(like).to be_within(1e-9).of(likeness.cosine(all.fetch(record),
                                                           likeness.vector(other)))
      end
      plain = all.except(record).max_by(10) { |_, vector| likeness.cosine(all.fetch(record), vector) }.map { |other, _| other.id }
      (plain & near.map { |other, _| other.id }).size
    end
    expect(found.sum.fdiv(150)).to be >= 0.93
  end
end
