# frozen_string_literal: true

module Hobrin
  module Exchange
    # BibTeX, the format of bibliographies in TeX.
    module Bibtex
      NAME = "BibTeX"
      EXTENSION = "bib"
      TYPE = "application/x-bibtex"
    end
  end
end
