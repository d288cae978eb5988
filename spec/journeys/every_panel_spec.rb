# frozen_string_literal: true

# What opens beside or below the work is as clean as the step itself.
RSpec.describe "Every panel", :sample, :browser do
  opened = %w[term:8 term:11 heading:O:Noise gain:I overlap papers:I list:O
              paper:10.5555/hobrin.trial-2026-new]
  views = [*opened.map { |panel| "/inquiries/1/word?open=#{panel}" }, "/inquiries/5/word",
           "/inquiries/1/narrow?opened=block-I&order=strongest&more=yes",
           "/inquiries/2/narrow?show=elsewhere", "/inquiries/2/narrow?show=way",
           "/inquiries/4/narrow?show=check", "/inquiries/5/sift?order=closest&rung=reviews&find=parent*",
           "/inquiries/1/sift?part=unread&find=*", "/inquiries/1/sift?show=threads", "/inquiries/1/weigh?outcome=1",
           "/inquiries/1/weigh?outcome=1&part=certainty", "/inquiries/1/weigh?outcome=1&part=small",
           "/inquiries/1/weigh?show=new",
           "/inquiries/1/weigh?show=table", "/inquiries/1/weigh?paper=10.5555/hobrin.trial-2021&numbers=2",
           "/inquiries/2/weigh?outcome=1", "/inquiries/2/weigh?outcome=1&part=values",
           "/inquiries/5/weigh?show=findings&finding=3", "/inquiries/1/act?show=decision", "/inquiries/1/act?show=measures",
           "/inquiries/1/sift?paper=10.5555/hobrin.review-2023&show=around",
           "/inquiries/1/sift?paper=10.5555/hobrin.trial-2021&show=full&style=apa",
           "/inquiries/1/sift?order=likeliest&group=rung&paper=10.5555/hobrin.trial-2017-surgery"]

  # They only read, so they share a home and a server.
  it "is clean for axe and the console, and fits 390 px" do
    views.each { |view| aggregate_failures(view) { expect_clean(view, narrow: false) } }
  end
end
