# frozen_string_literal: true

# A home with the sample data; each example gets a copy to change as it likes. It is made once for a
# run, before the processes of the run begin (make_sample.rb); a single process makes its own.
module SampleHome
  MADE = ENV.fetch("HOBRIN_TEST_SAMPLE", nil)

  def self.folder
    @folder ||= MADE || Dir.mktmpdir("hobrin-sample").tap { |folder| at_exit { FileUtils.rm_rf(folder) } }
  end

  def self.master
    @master ||= "#{folder}/home".tap { |home| make(home) unless MADE }
  end

  # The text of the sample file.
  def self.csl
    file = "#{folder}/records.json"
    File.write(file, Hobrin::Demo::Sample.csl) unless File.exist?(file)
    File.read(file)
  end

  def self.make(home)
    FileUtils.mkdir_p(home)
    context = Hobrin::Boot.context(home: Pathname(home), who: "a test", clock: Builders::FixedClock)
    Hobrin::Demo::Sample.new(context).load
    Sequel::DATABASES.each(&:disconnect)
  end

  def home
    @home ||= Pathname(Dir.mktmpdir("hobrin")).tap do |folder|
      FileUtils.cp_r("#{SampleHome.master}/.", folder)
    end
  end

  def context = @context ||= Hobrin::Boot.context(home:, who: "a test", clock: Builders::FixedClock)

  # The records of the sample file, read with nothing of Hobrin: plain Hashes.
  def self.plain_records = @plain_records ||= JSON.parse(csl)

  # The same records as values of the core, in the order in which the library numbers them.
  def self.records
    @records ||= plain_records.map { |item| Hobrin::Exchange::CslJson::Reader.item(item) }
  end

  def self.included(base)
    base.after { FileUtils.rm_rf(@home) if @home }
  end
end
