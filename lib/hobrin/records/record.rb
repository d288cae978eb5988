# frozen_string_literal: true

module Hobrin
  module Records
    # One paper of the library.
    #
    # id        :: String, unlike any other in the library
    # published :: ISO 8601 date, as exact as it is known ("2021", "2021-03", "2021-03-14")
    # added     :: ISO 8601 date when the record came into its source
    # language  :: ISO 639-2 code, such as "eng"
    # authors   :: Array of Author; headings :: Array of Indexing, empty when not indexed yet
    # types, ages :: names from StudyTypes and AgeGroups; flags :: names of yes/no facts
    #
    # Raises ArgumentError without an id or a title.
    class Record < Value
      attributes :id, :title, :abstract, :authors, :journal, :volume, :issue, :pages, :published,
                 :added, :doi, :language, :country, :keywords, :types, :headings, :ages, :sex,
                 :species, :flags, :cites, :links

      LISTS = %i[authors keywords types headings ages sex species flags cites links].freeze
      private_constant :LISTS

      def initialize(id:, title:, **rest)
        unknown = rest.keys - self.class.attribute_names
        raise ArgumentError, "unknown: #{unknown.join(", ")}" unless unknown.empty?
        raise ArgumentError, "a record needs an id and a title" if [id, title].any? { |text| text.to_s.strip.empty? }

        given = { id:, title:, **rest }
        self.class.attribute_names.each do |name|
          value = given[name]
          instance_variable_set(:"@#{name}", LISTS.include?(name) ? Array(value).dup.freeze : value&.dup.freeze)
        end
        freeze
      end

      # The year published, as an Integer, or nil when the record does not say.
      def year = published.to_s[/\A\d{4}/]&.to_i

      def indexed? = headings.any?

      # "Family AB, Family CD et al."
      def byline
        return "No author named" if authors.empty?

        authors.first(2).map(&:short).join(", ") + (authors.size > 2 ? " et al." : "")
      end
    end
  end
end
