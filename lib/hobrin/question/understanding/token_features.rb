# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # What is said of each word of a question, as short names that the learnt weights know: the
      # words and classes of words around it, its letters, the part of the sentence, what stood
      # before (see Memory) and what comes. Names that begin with "@" speak for the beginning of a
      # phrase only, and together with the element that was named last.
      class TokenFeatures
        AHEAD = %w[or versus vs than instead rather compared against].freeze
        FAR = 12
        private_constant :AHEAD, :FAR

        # sentence :: Sentence; kind :: key of the kind that the question sounds like
        def initialize(sentence, kind)
          @sentence = sentence
          @tokens = sentence.tokens
          @kind = kind
          @people = @tokens.each_index.select { |place| @tokens[place].classes.include?("people") }
        end

        # Gives for each token an Array of names.
        def call
          memory = States::Memory.new
          @tokens.each_index.map do |place|
            memory.meet_small(@tokens[place])
            features = at(place, memory)
            memory.meet(@tokens[place])
            features
          end
        end

        private

        def at(place, memory)
          ahead = ahead(place)
          WordFeatures.new(@sentence, place).call + named(place) + position(place) + people(place) +
            remembered(place, memory) + ahead_of(place, memory, ahead) + of_kind(place, memory) +
            beginning(place, memory, ahead)
        end

        # What the thesaurus calls it, and the word after it.
        def named(place)
          token = @tokens[place]
          side = token.opens ? "B" : "I"
          here = token.branch ? "#{side}#{token.branch}" : "-"
          ["th=#{here}", "th1=#{@tokens[place + 1]&.branch || "-"}"]
        end

        def position(place)
          token = @tokens[place]
          first = @sentence.start(token.sentence)
          starter = @sentence.word(first)
          far = [place - first, FAR].min
          ["st1=#{starter}", "st2=#{starter}|#{@sentence.word(first + 1)}", "pos=#{far / 2}",
           "st1pos=#{starter}|#{far / 3}", sentence(token), *part(place, token)]
        end

        def sentence(token)
          number = token.sentence
          last = @sentence.last_sentence
          "sent=#{@sentence.asks?(number) ? "q" : "n"}#{"L" if number == last}#{"1" if last.zero?}"
        end

        def part(place, token)
          here = @sentence.parts[token.part]
          before = @sentence.parts[token.part - 1] if token.part.positive?
          whole = "#{here.verb}|#{here.sign}"
          ["sg=#{whole}", "sg,x=#{whole}|#{[token.part, 3].min}",
           "sgp=#{before && (before.verb + before.sign)}|#{here.verb}",
           "sg,k=#{here.verb}|#{token.kind}|#{@sentence.kind(place - 1)}", "@sg=#{whole}"]
        end

        def people(place)
          before = people?(place) { |one| one < place }
          after = people?(place) { |one| one > place }
          anywhere = [@people.any? { |person| person < place }, @people.any? { |person| person > place }].join
          ["pL=#{before}", "pR=#{after}", "pA=#{@people.any?}", "pLR,k=#{anywhere}|#{@tokens[place].kind}",
           "@pLR=#{anywhere}"]
        end

        def people?(place)
          @people.any? { |person| yield(person) && @tokens[person].sentence == @tokens[place].sentence }
        end

        def remembered(place, memory)
          kind = @tokens[place].kind
          ["lp=#{memory.preposition}|#{[memory.since, 4].min}", "lp=#{memory.preposition}", "lc=#{memory.comparing}",
           "lv=#{memory.verb}", "lp,k=#{memory.preposition}|#{kind}", "lc,k=#{memory.comparing}|#{kind}",
           "lv,k=#{memory.verb}|#{kind}", "lv,lp=#{memory.verb}|#{memory.preposition}",
           "ct=#{[memory.content, 5].min}", "lf=#{memory.small}|#{[memory.since_small, 3].min}"]
        end

        # What comes after a place: [the next small word or sign, the next word that compares, the
        # class of the next verb], the last two within the sentence.
        def ahead(place)
          rest = @tokens.drop(place + 1)
          same = rest.take_while { |token| token.sentence == @tokens[place].sentence }
          verb = same.find { |token| token.classes.intersect?(States::Memory::VERBS) }
          [rest.find { |token| token.small? || token.sign? }&.word || "-",
           same.find { |token| AHEAD.include?(token.word) }&.word || "-",
           verb ? (verb.classes & States::Memory::VERBS).first : "-"]
        end

        def ahead_of(place, memory, (small, comparing, verb))
          ["nf=#{small}", "nf,k=#{small}|#{@tokens[place].kind}", "nc=#{comparing}", "nv=#{verb}",
           "nv,lv=#{verb}|#{memory.verb}", "lf,nf=#{memory.small}|#{small}"]
        end

        def of_kind(place, memory)
          kind = @tokens[place].kind
          starter = @sentence.word(@sentence.start(@tokens[place].sentence))
          ["K=#{@kind}", "K,k=#{@kind}|#{kind}", "K,lp=#{@kind}|#{memory.preposition}", "K,lv=#{@kind}|#{memory.verb}",
           "K,st=#{@kind}|#{starter}", "K,lc=#{@kind}|#{memory.comparing}",
           "K,k-1=#{@kind}|#{@sentence.kind(place - 1)}"]
        end

        def beginning(place, memory, (small, *))
          before = @sentence.kind(place - 1)
          ["@lc=#{memory.comparing}", "@k-1=#{before}", "@k0=#{@tokens[place].kind}", "@lp=#{memory.preposition}", "@b",
           "@st=#{@sentence.word(@sentence.start(@tokens[place].sentence))}", "@lv=#{memory.verb}",
           "@z=#{@tokens[place].sentence}", "@K=#{@kind}",
           "@k-2,-1=#{@sentence.kind(place - 2)}|#{before}", "@nf=#{small}"]
        end

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
              further ? further.drop(1).map { |feature| "c#{by}=#{feature}" } : []
            end
            return near if @token.small?

            near + letters(@token.word) + @token.classes.map { |name| "c=#{name}" } << shape
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
end
