# frozen_string_literal: true

require "json"
require "open3"

# Source: html-validate (npm), which knows the HTML standard's rules of content; it shares nothing with what writes the pages.
module HtmlValidate
  PROGRAM = Hobrin::Boot::ROOT.join("node_modules/.bin/html-validate").to_s
  NOT_THERE = "/inquiries/77/ask"
  RULES = { extends: ["html-validate:standard"], root: true }.freeze

  # views :: addresses. Gives what is wrong, as [address, line, message] of each.
  def faults_of(views)
    Dir.mktmpdir do |folder|
      files = views.each_with_index.to_h { |view, number| [saved(view, File.join(folder, "#{number}.html")), view] }
      File.write(File.join(folder, ".htmlvalidate.json"), JSON.generate(RULES))
      found = File.join(folder, "found.json")
      Open3.capture2e(PROGRAM, "--formatter", "json=#{found}", *files.keys)
      JSON.parse(File.read(found)).flat_map do |page|
        page["messages"].map { |fault| [files.fetch(page["filePath"]), fault["line"], fault["message"]] }
      end
    end
  end

  private

  def saved(view, file)
    answer = visit_page(view)
    raise "#{view}: #{answer.status}" unless answer.ok? || view == NOT_THERE

    File.write(file, answer.body)
    file
  end
end

RSpec.describe "Forty pages", :sample, :client, :outside do
  include HtmlValidate

  steps = %w[ask ask?phrase=P:3 word word?open=term:8 word?open=list:O word?open=gain:O word?open=overlap word?open=papers:I
             word?open=paper:10.5555/hobrin.trial-2026-new narrow narrow?show=check narrow?show=limits narrow?show=filters
             narrow?show=elsewhere narrow?opened=limit-age sift sift?show=threads sift?show=full
             sift?order=likeliest&group=rung weigh weigh?outcome=1 weigh?show=table weigh?outcome=1&part=certainty
             weigh?paper=10.5555/hobrin.trial-2021&numbers=2 weigh?show=new act act?show=versions act?show=measures
             act?show=decision act?show=steps act?show=whole trail trail?line=20&with=31 trail?again=yes]
  views = ["/", "/library", "/library/doubles", "/inquiries/2/weigh?outcome=1", "/inquiries/5/weigh?show=findings&finding=3",
           HtmlValidate::NOT_THERE, *steps.map { |step| "/inquiries/1/#{step}" }]

  it "are valid HTML" do
    expect(faults_of(views)).to eq([])
  end
end

RSpec.describe "The pages of people", :client, :outside do
  include HtmlValidate
  include SmallWard
  include Ward

  it "are valid HTML" do
    expect(faults_of(%w[/sign-in])).to eq([])
    sign_in(:owner)
    expect(faults_of(%w[/ /library /account /account/second-step /inquiries/1/people /inquiries/1/notes
                        /inquiries/1/sift /inquiries/1/act?show=versions])).to eq([])
    sign_in(:runs)
    expect(faults_of(%w[/people /outbox /account])).to eq([])
  end
end
