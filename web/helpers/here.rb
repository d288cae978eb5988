# frozen_string_literal: true

module Hobrin
  module Web
    # Who else looks at an inquiry just now.
    module Here
      # What a page is told it by, beside what was changed.
      HEADER = "x-hobrin-here"

      # Says that who signed in is on a step, and gives who else is there: "Oskar Thimmel on Sift".
      def here(step)
        known = Inquiry::STEPS.find { |one| one.to_s == step } || "trail"
        others = Services::Notes.new(context, inquiry_id).look(known.to_s)
        URI.encode_www_form_component(others.map { |name, where| "#{name} on #{where.capitalize}" }.join(", "))
      end
    end
  end
end
