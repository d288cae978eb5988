# frozen_string_literal: true

module Hobrin
  module Exchange
    # CSL-JSON, the input format of citation processors (schema 1.0). What CSL has no field for
    # stands under `custom`.
    module CslJson
      NAME = "CSL-JSON"
      EXTENSION = "json"
      TYPE = "application/vnd.citationstyles.csl+json"
    end
  end
end
