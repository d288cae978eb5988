# frozen_string_literal: true

module Hobrin
  module Demo
    # Words a made-up study by its design. Every number in a results sentence is worked out from the ones
    # before it, so that they agree with each other.
    class StudyText
      # title, abstract :: Strings; types :: study types
      Text = Struct.new(:title, :abstract, :types, keyword_init: true)

      TYPES = { trial: "randomized controlled trial", controlled: "controlled trial", cohort: "cohort study",
                before_after: "before-and-after study", survey: "cross-sectional study",
                qualitative: "qualitative study",
                review: "systematic review", narrative: "narrative review", case_report: "case report",
                editorial: "editorial", protocol: "protocol" }.freeze
      TITLES = {
        trial: "%<I>s and %<o>s in %<p>s: a randomized controlled trial",
        controlled: "%<I>s for %<o>s in %<p>s: a controlled trial",
        cohort: "%<O>s after %<i>s in %<p>s: a cohort study",
        before_after: "Introducing %<i>s for %<p>s: a before-and-after study of %<o>s",
        survey: "%<I>s and %<o>s: a survey of practice with %<p>s",
        qualitative: "What it is like: %<i>s, %<o>s and %<p>s, an interview study",
        review: "%<I>s for %<o>s in %<p>s: a systematic review",
        narrative: "%<I>s, %<o>s and %<p>s: what is known",
        case_report: "%<O>s and %<i>s: a case among %<p>s",
        editorial: "Time to think again about %<i>s for %<p>s",
        protocol: "%<I>s to change %<o>s in %<p>s: protocol for a randomized trial"
      }.freeze
      private_constant :TYPES, :TITLES

      def initialize(people:, intervention:, outcome:, random:)
        @people = people
        @words = { p: people["text"], i: intervention["text"], o: outcome["text"] }
        @event = outcome["event"]
        @random = random
      end

      # design :: a key of TYPES. Gives a Text.
      def call(design)
        capitals = { I: capital(@words[:i]), O: capital(@words[:o]) }
        Text.new(title: format(TITLES.fetch(design), **@words, **capitals), types: [TYPES.fetch(design)],
                 abstract: abstract(design))
      end

      private

      def abstract(design)
        case design
        when :trial then compared("Patients in #{place} were randomly assigned to #{i} or to usual care", "with #{i}",
                                  "with usual care")
        when :controlled then compared("#{capital(i)} was given on one side of #{place} and not on the other",
                                       "with #{i}", "without")
        when :cohort then compared("We followed #{p} in #{place} from admission to discharge", "with #{i}", "without")
        when :before_after then compared("In #{place} we compared the months before and after introducing #{i}",
                                         "after", "before")
        when :review then review
        when :survey then survey
        when :qualitative then qualitative
        else short(design)
        end
      end

      def compared(methods, one, two)
        total, others = Array.new(2) { @random.rand(30..180) }
        common = @random.rand(0.18..0.5)
        events = (total * common * @random.rand(0.6..1.05)).round
        other_events = (others * common).round
        better = events.fdiv(total) < other_events.fdiv(others)
        results = "#{share(events, total)} #{@event} #{one} and #{share(other_events, others)} #{two}"
        conclusion = better ? "#{capital(o)} was better #{one}" : "#{capital(i)} made no clear difference to #{o}"
        "Background: The place of #{i} for #{o} in #{p} is not settled. Methods: #{methods}. " \
          "Results: #{results}. Conclusion: #{conclusion}."
      end

      def review
        studies = @random.rand(4..22)
        trials = @random.rand(1..studies)
        certainty = pick(%w[low moderate])
        "Background: Studies of #{i} for #{o} disagree. Methods: We searched #{@random.rand(3..7)} databases for " \
          "studies in #{p}. Results: #{studies} studies were included, #{trials} of them randomized. " \
          "Conclusion: Certainty is #{certainty}."
      end

      def survey
        asked = @random.rand(80..500)
        users = share(@random.rand(20..(asked - 20)), asked)
        "Background: How #{i} is used is not known. Methods: Cross-sectional survey about #{p} in #{place}. " \
          "Results: #{users} used #{i} in most weeks; #{o} was the reason named most. Conclusion: Practice differs."
      end

      def qualitative
        "Background: What #{i} means to people is seldom asked. Methods: #{@random.rand(9..28)} interviews about " \
          "#{p}, analysed by theme. Findings: Being asked first mattered more than #{i} itself; #{o} was spoken of " \
          "with worry. Conclusion: Ask, explain, and ask again."
      end

      def short(design)
        if design == :protocol
          people = @random.rand(6..40) * 10
          return "We plan to randomize #{people} of #{p} to #{i} or usual care. The main outcome is #{o}."
        end

        "We write about #{i} and #{o} in #{p}, from #{place}, and say what we would do next."
      end

      def share(part, whole) = "#{part} of #{whole} (#{(100.0 * part / whole).round(1)}%)"

      def p = @words[:p]
      def i = @words[:i]
      def o = @words[:o]
      def place = @people["setting"]
      def capital(text) = text[0].upcase + text[1..]
      def pick(list) = list[@random.rand(list.size)]
    end
  end
end
