# frozen_string_literal: true

module Hobrin
  module Records
    # By what two records are told to be the same paper: their DOI, or else title, year, first
    # author and first page, all folded.
    module DuplicateKey
      class << self
        # The DOI in one spelling, or nil.
        def doi(record)
          doi = Doi.plain(record.doi)
          doi.empty? ? nil : doi
        end

        # "title|year|first author|first page", or nil when too little is known to tell papers
        # apart.
        def key(record)
          author = record.authors.first&.family.to_s
          page = record.pages.to_s[/\w+/].to_s
          return if record.year.nil? || (author.empty? && page.empty?)

          [Text::Tokens.line(record.title), record.year, Text::Tokens.line(author),
           page.downcase].join("|")
        end
      end
    end
  end
end
