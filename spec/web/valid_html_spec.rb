# frozen_string_literal: true

require "json"
require "open3"

# Source: html-validate (npm), which knows the HTML standard's rules of content; it shares nothing with what writes the pages.
RSpec.describe "Forty pages", :sample, :client, :outside do
  validator = Hobrin::Boot::ROOT.join("node_modules/.bin/html-validate")
  rules = { extends: ["html-validate:standard"], root: true }

  steps = %w[ask ask?phrase=P:3 word word?open=term:8 word?open=list:O word?open=gain:O word?open=overlap word?open=papers:I
             word?open=paper:10.5555/hobrin.trial-2026-new narrow narrow?show=check narrow?show=limits narrow?show=filters
             narrow?show=elsewhere narrow?opened=limit-age sift sift?show=threads sift?show=full
             sift?order=likeliest&group=rung weigh weigh?outcome=1 weigh?show=table weigh?outcome=1&part=certainty
             weigh?paper=10.5555/hobrin.trial-2021&numbers=2 weigh?show=new act act?show=versions act?show=measures
             act?show=decision act?show=steps act?show=whole trail trail?line=20&with=31 trail?again=yes]
  views = ["/", "/library", "/library/doubles", "/inquiries/2/weigh?outcome=1", "/inquiries/5/weigh?show=findings&finding=3",
           "/inquiries/77/ask", *steps.map { |step| "/inquiries/1/#{step}" }]

  it "are valid HTML" do
    Dir.mktmpdir do |folder|
      names = views.each_with_index.to_h do |view, number|
        file = File.join(folder, "#{number}.html")
        File.write(file, visit_page(view).body)
        [file, view]
      end
      File.write(File.join(folder, ".htmlvalidate.json"), JSON.generate(rules))
      found = File.join(folder, "found.json")
      Open3.capture2e(validator.to_s, "--formatter", "json=#{found}", *names.keys)
      faults = JSON.parse(File.read(found)).flat_map do |page|
        page["messages"].map { |fault| [names.fetch(page["filePath"]), fault["line"], fault["message"]] }
      end
      expect(faults).to eq([])
    end
  end
end
