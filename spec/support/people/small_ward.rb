# frozen_string_literal: true

# A home of one's own with six papers and one inquiry that finds them, for what needs no more.
module SmallWard
  def home = @home ||= Pathname(Dir.mktmpdir("hobrin-ward"))

  def context
    @context ||= Hobrin::Boot.context(home:, who: "a test",
                                      clock: Builders::FixedClock).tap do |context|
      fill(context) if context.library.empty?
    end
  end

  def self.included(base)
    base.after { FileUtils.rm_rf(@home) if @home }
  end

  private

  def fill(context)
    papers = Array.new(6) do |place|
      a_record(id: "p#{place}", title: "Sleep on wards, paper #{place}", published: "202#{place}")
    end
    context.library.add(papers)
    id = Hobrin::Services::Inquiries::Start.new(context).call("Does quiet help patients to sleep?")
    question = context.inquiries.find(id).inquiry.question
    draft = Hobrin::Edits::Ask::Draft.new(situation: "", text: question.text)
    [Hobrin::Edits::Ask::WriteQuestion.new(draft:, press: Hobrin::Edits::Ask::Mark.new(key: "P", words: "patients")),
     Hobrin::Edits::Additions::AddParts.words("P", "sleep")]
      .each do |edit|
      Hobrin::Services::ApplyEdit.new(context).call(id, edit)
    end
  end
end
