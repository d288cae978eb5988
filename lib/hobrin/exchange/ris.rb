# frozen_string_literal: true

module Hobrin
  module Exchange
    # RIS, the tagged format that reference managers share.
    module Ris
      SAMPLE_NOTE = CslJson::SAMPLE_NOTE
    end
  end
end
