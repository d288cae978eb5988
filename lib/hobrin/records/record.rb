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

      # Each attribute with its variable, since records are made by the hundred thousand.
      OF_LISTS = %i[authors keywords types headings ages sex species flags cites links].freeze
      LISTS, TEXTS = attribute_names.zip(variables).partition { |name, _| OF_LISTS.include?(name) }.map(&:freeze)
      private_constant :OF_LISTS, :LISTS, :TEXTS

      def initialize(id:, title:, **rest)
        raise ArgumentError, "a record needs an id and a title" if id.to_s.strip.empty? || title.to_s.strip.empty?

        rest[:id] = id
        rest[:title] = title
        TEXTS.each { |name, variable| instance_variable_set(variable, kept(rest.delete(name))) }
        LISTS.each do |name, variable|
          instance_variable_set(variable, kept_list(rest.delete(name)))
        end
        raise ArgumentError, "unknown: #{rest.keys.join(", ")}" unless rest.empty?

        freeze
      end

      # The year published, as an Integer, or nil when the record does not say.
      def year = published.to_s[/\A\d{4}/]&.to_i

      def indexed? = headings.any?

      # Whether its source says that it was taken back: nothing in it can be leant on.
      def retracted? = flags.include?(Flags::RETRACTED)

      # "Family AB, Family CD et al."
      def byline
        return Book.t("common.no_author") if authors.empty?

        authors.first(2).map(&:short).join(", ") + (authors.size > 2 ? Book.t("common.et_al") : "")
      end

      # "Family 2021": the first author and the year, or how the title begins.
      def short_name = [authors.first&.family || title[0, 30], year].compact.join(" ")

      private

      # A frozen text is kept as it is; another is copied, so that nobody can change it afterwards.
      def kept(text) = text.frozen? ? text : text.dup.freeze

      def kept_list(list) = list.is_a?(Array) && list.frozen? ? list : Array(list).dup.freeze
    end
  end
end
