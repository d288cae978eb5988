# frozen_string_literal: true

module Hobrin
  module Services
    # A file to save. name :: of the file; type :: its media type; body :: its content
    class Download < Value
      attributes :name, :type, :body
    end
  end
end
