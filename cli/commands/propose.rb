# frozen_string_literal: true

require "json"

module Hobrin
  module Cli
    module Commands
      # hobrin propose FILE
      class Propose < Command
        SUMMARY = "Proposes the phrases and the kind of questions, one on each line of a file"
        USAGE = "FILE [OPTIONS]"
        EXAMPLES = ["hobrin propose questions.txt",
                    "echo 'does honey work on burns in kids' | hobrin propose -"].freeze
        LONGEST = FieldLengths.of(:question)
        private_constant :LONGEST

        private

        # One line of JSON for each question. A line that is no question is said, and left out.
        def run(file)
          understanding = context.understanding
          refused = lines(file).reject do |line|
            fits = line.valid_encoding? && line.size <= LONGEST
            fits ? @out.puts(JSON.generate(of(line, understanding))) || true : @err.puts("hobrin: #{said(line)}")
          end
          refused.empty?
        end

        def lines(file)
          text = file == "-" ? $stdin.read : File.read(file, encoding: Encoding::UTF_8)
          text.dup.force_encoding(Encoding::UTF_8).lines(chomp: true).reject { |line| line.b.strip.empty? }
        end

        def said(line)
          return "a line is not readable text (UTF-8)." unless line.valid_encoding?

          "“#{line[0, 30]}…” is longer than #{LONGEST} characters."
        end

        def of(line, understanding)
          guess = understanding.kind(line)
          phrases = understanding.proposals(line).map do |proposal|
            { element: proposal.key, text: proposal.phrase.text, sure: proposal.sure.round(2), other: proposal.other }.compact
          end
          { question: line, kind: guess&.kind&.key, sure: guess&.sure&.round(2), phrases: }
        end
      end
    end
  end
end
