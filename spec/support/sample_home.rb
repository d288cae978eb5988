# frozen_string_literal: true

# A home with the sample data, made once for a run; each example gets a copy to change as it likes.
module SampleHome
  def self.master
    @master ||= Dir.mktmpdir("hobrin-sample").tap do |folder|
      at_exit { FileUtils.rm_rf(folder) }
      context = Hobrin::Boot.context(home: Pathname(folder), who: "a test", clock: Builders::FixedClock)
      Hobrin::Demo::Sample.new(context).load
      Sequel::DATABASES.each(&:disconnect)
    end
  end

  def home
    @home ||= Pathname(Dir.mktmpdir("hobrin")).tap do |folder|
      FileUtils.cp_r("#{SampleHome.master}/.", folder)
    end
  end

  def context = @context ||= Hobrin::Boot.context(home:, who: "a test", clock: Builders::FixedClock)

  # The records of the sample file, read with nothing of Hobrin: plain Hashes.
  def self.plain_records = @plain_records ||= JSON.parse(Hobrin::Demo::Sample.csl)

  # The same records as values of the core, in the order in which the library numbers them.
  def self.records
    @records ||= plain_records.map { |item| Hobrin::Exchange::CslJson::Reader.item(item) }
  end

  def self.included(base)
    base.after { FileUtils.rm_rf(@home) if @home }
  end
end
