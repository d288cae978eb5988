# frozen_string_literal: true

require "open3"

# The citation-js packages of npm, which read and write the formats that Hobrin does and share
# nothing with it.
module SecondOpinion
  SCRIPT = File.expand_path("second_opinion.mjs", __dir__)

  # text :: in any format; to :: "csl", "ris" or "bibtex". Gives the text in that format, CSL as
  #   Hashes.
  def self.call(text, to:)
    out, err, status = Open3.capture3("node", SCRIPT, stdin_data: JSON.generate(to:, text:))
    raise err unless status.success?

    to == "csl" ? JSON.parse(out) : out
  end
end
