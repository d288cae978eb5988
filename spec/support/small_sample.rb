# frozen_string_literal: true

# A home with every so many of the sample's records, for what is checked by reading all of them one
# by one. Made once for a run and only read from.
module SmallSample
  SIZE = 400

  def self.records
    @records ||= SampleHome.records.then do |all|
      all.each_slice((all.size / SIZE.to_f).ceil).map(&:first)
    end
  end

  def self.home
    @home ||= Pathname(Dir.mktmpdir("hobrin-small")).tap do |path|
      at_exit do
        FileUtils.rm_rf(path)
      end
    end
  end

  def self.context
    @context ||= Hobrin::Boot.context(home:, who: "a test",
                                      clock: Builders::FixedClock).tap do |context|
      Hobrin::Services::LoadSample.new(context).call(
        headings: Hobrin::Demo::SampleThesaurus.headings, records:
      )
    end
  end

  def records = SmallSample.records
  def context = SmallSample.context

  # The folder, filled.
  def home = context && SmallSample.home
  def plain = @plain ||= PlainReading.new(records, context.library.thesaurus.headings)
end
