# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # What people say when they are asked to tell.
      class Interviews < Maker
        private

        def title
          filled(pick(["What it is like: %<i>s, %<o>s and %<p>s, an interview study", "\"Nobody had asked me\": experiences of %<i>s told by %<p>s", "%<P>s speak about %<i>s and %<o>s: a qualitative study"]))
        end

        def filled(template) = super(template.gsub("%<P>s", capital(p)))

        def abstract
          parts(background: filled("What %<i>s means to people is seldom asked."),
                methods: "#{@random.rand(8..34)} #{pick(["interviews", "interviews and three focus groups", "conversations at the bedside"])} about #{p}, analysed by theme.",
                findings: filled(pick(["Being asked first mattered more than %<i>s itself; %<o>s was spoken of with worry.",
                                       "Three themes were found: being seen, not being in the way, and fear of %<o>s.",
                                       "%<I>s was welcome when it was explained, and a burden when it was not; %<o>s stayed in mind long after."])),
                conclusion: pick(["Ask, explain, and ask again.", "Time to explain is part of the care.", "What helps one troubles another."]))
        end
      end
    end
  end
end
