# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # What is said of a word by itself and by its nearest neighbours: see TokenFeatures.
      class WordFeatures
        # sentence :: Sentence; place :: of the token
        def initialize(sentence, place)
          @sentence = sentence
          @place = place
          @token = sentence.tokens[place]
        end

        # Gives an Array of names.
        def call = around + itself

        private

        def around
          w2, w1, w, v1, v2 = (-2..2).map { |by| @sentence.word(@place + by) }
          k3, k2, k1, k, l1, l2, l3 = (-3..3).map { |by| @sentence.kind(@place + by) }
          ["b", "w-2=#{w2}", "w-1=#{w1}", "w0=#{w}", "w1=#{v1}", "w2=#{v2}", "w-1,0=#{w1}|#{w}", "w0,1=#{w}|#{v1}",
           "k-3=#{k3}", "k-2=#{k2}", "k-1=#{k1}", "k0=#{k}", "k1=#{l1}", "k2=#{l2}", "k3=#{l3}", "k-1,0=#{k1}|#{k}",
           "k0,1=#{k}|#{l1}", "k-2,-1,0=#{k2}|#{k1}|#{k}", "k-1,0,1=#{k1}|#{k}|#{l1}", "k0,1,2=#{k}|#{l1}|#{l2}",
           "k-2,-1=#{k2}|#{k1}", "k1,2=#{l1}|#{l2}"]
        end

        def itself
          near = [-2, -1, 1, 2].flat_map do |by|
            further = @place + by >= 0 && @sentence.tokens[@place + by]&.classes
            further ? further.drop(1).map { |one| "c#{by}=#{one}" } : []
          end
          return near if @token.small?

          near + letters(@token.word) + @token.classes.map { |one| "c=#{one}" } << shape
        end

        def letters(word)
          found = []
          found << "s3=#{word[-3..]}" << "s2=#{word[-2..]}" if word.size > 3
          found << "p3=#{word[0, 3]}" if word.size > 4
          found << "s4=#{word[-4..]}" if word.size > 5
          found
        end

        def shape
          form = case @token.text
                 when /\A\d/ then "9"
                 when /\A[A-Z0-9]{2,}s?\z/ then "AA"
                 when /\A[A-Z]/ then "Aa"
                 when /\A[[:alpha:]]/ then "a"
                 else "p"
                 end
          "sh=#{form}#{"0" if @place == @sentence.start(@token.sentence)}"
        end
      end
    end
  end
end
