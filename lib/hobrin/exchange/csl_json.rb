# frozen_string_literal: true

module Hobrin
  module Exchange
    # CSL-JSON in and out.
    module CslJson
      SAMPLE_NOTE = "Made-up sample record of Hobrin: nobody and nothing in it is real."
    end
  end
end
