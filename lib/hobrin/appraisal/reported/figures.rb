# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # The numbers of a form as typed, read and checked field by field.
      class Figures
        # form :: Form; typed :: Hash of field name (Symbol) to text; ratio :: whether a ready-made
        #   effect is one
        def initialize(form, typed, ratio: false)
          @form = form
          @typed = typed
          @ratio = ratio
          @errors = {}
        end

        # Gives a Hash of name to Integer or Float, those left empty left out. Raises InputError
        # naming each field that cannot be.
        def call
          read = @form.names.to_h { |name| [name, number(name)] }.compact
          check(read) if @errors.empty?
          raise InputError, @errors unless @errors.empty?

          read.freeze
        end

        private

        def number(name)
          field = @form.field(name)
          text = @typed[name].to_s
          if text.strip.empty?
            @errors[name] = Book.t("appraisal.errors.number") if field.needed
            return
          end
          value = field.whole ? Typed.whole(text) : Typed.number(text)
          unless sound?(value, field)
            @errors[name] = field.whole ? Book.t("appraisal.errors.whole") : Book.t("appraisal.errors.number_example")
          end
          value
        end

        def sound?(value, field)
          return false if value.nil? || value.abs > Statistics::TwoByTwo::LARGEST

          field.whole ? value >= 0 : true
        end

        def check(read)
          case @form.key
          when "counts", "four_cells" then Values.of(@form.key, read)
          when "estimate" then estimate(read)
          else ["", (Form::OTHER if @form.two_groups)].compact.each { |group| group(read, group) }
          end
        rescue InputError => e
          @errors.merge!(e.errors)
        end

        def group(read, prefix)
          of = ->(name) { read[:"#{prefix}#{name}"] }
          wrong = ->(name, words, bad) { @errors[:"#{prefix}#{name}"] ||= words if bad }
          wrong[:events, Book.t("appraisal.errors.more_than_group", events: of[:events], total: of[:total]),
                of[:total] && of[:events] > of[:total]]
          wrong[:total, Book.t("appraisal.errors.empty_group"), of[:total]&.zero?]
          wrong[:time, Book.t("appraisal.errors.time"), of[:time] && !of[:time].positive?]
          wrong[:size, Book.t("appraisal.errors.two_people"),
                of[:size] && of[:size] < 2]
          %i[deviation error].each do |name|
            wrong[name, Book.t("appraisal.errors.positive"), of[name] && !of[name].positive?]
          end
          ordered(of, wrong)
        end

        def ordered(of, wrong)
          names = %i[least low lower mean median upper high most].select { |name| of[name] }
          names -= %i[mean] unless of[:low]
          names.each_cons(2) do |one, two|
            wrong[two, Book.t("appraisal.errors.below", before: of[one]), of[two] < of[one]]
          end
          ends = names.values_at(0, -1).uniq
          wrong[ends.last, Book.t("appraisal.errors.no_variation"),
                ends.size == 2 && of[ends.first] == of[ends.last]]
        end

        def estimate(read)
          value, low, high = read.values_at(:value, :low, :high)
          within(read, :level, 50, 99.9)
          within(read, :risk, 0, 100)
          above_nothing(read.slice(:value, :low, :high)) if @ratio
          return spread(read[:p], value) unless low || high
          return @errors[:high] = Book.t("appraisal.errors.both_ends") unless low && high
          return @errors[:high] ||= Book.t("appraisal.errors.order") if high <= low

          @errors[:value] ||= Book.t("appraisal.errors.outside") unless value.between?(low, high)
        end

        def within(read, name, least, most)
          @errors[name] = Book.t("appraisal.errors.range", least:, most:) unless read[name].nil? || read[name].between?(least, most)
        end

        def above_nothing(numbers)
          numbers.each do |name, number|
            @errors[name] = Book.t("appraisal.errors.ratio") unless number.positive?
          end
        end

        def spread(p, value)
          return @errors[:low] = Book.t("appraisal.errors.interval_or_p") unless p

          @errors[:p] = Book.t("appraisal.errors.p") unless p.positive? && p < 1
          @errors[:value] = Book.t("appraisal.errors.p_of_no_effect") if value == (@ratio ? 1 : 0)
        end

        # Numbers as people type them: with a decimal point or a decimal comma, with spaces between
        # thousands, with a per cent sign. "1,200" is twelve hundred where a count is asked for, and
        # 1.2 where a measured number is; "1,200.5" and "1.200,5" leave no doubt.
        module Typed
          LONGEST = FieldLengths.of(:number)
          SPACES = /[\s\u00A0\u2009\u202F]/
          THOUSANDS = /\A-?\d{1,3}(?:([.,])\d{3})(?:\1\d{3})*\z/
          NUMBER = /\A-?(?:\d+(?:\.\d*)?|\.\d+)\z/
          private_constant :LONGEST, :SPACES, :THOUSANDS, :NUMBER

          class << self
            # Gives an Integer; nil for what is none.
            def whole(text)
              plain = bare(text) or return
              plain = plain.delete(".,") if plain.match?(THOUSANDS)
              Integer(plain, 10, exception: false)
            end

            # Gives a Float; nil for what is no number.
            def number(text)
              plain = bare(text) or return
              one, two = [plain.rindex(","), plain.rindex(".")]
              plain = plain.delete(one > two ? "." : ",") if one && two
              plain = plain.tr(",", ".")
              plain.match?(NUMBER) ? plain.to_f : nil
            end

            # Whether a measured number may be meant as thousands: "1,200", but not "0,125".
            def ambiguous?(text) = text.to_s.strip.match?(/\A-?[1-9]\d{0,2},\d{3}\z/)

            # text :: as above. Which of the two is meant, in a sentence.
            def question(text)
              Book.t("appraisal.errors.comma", one: whole(text).to_s, other: format("%g", number(text)))
            end

            private

            def bare(text)
              return if text.to_s.size > LONGEST

              text.to_s.gsub(SPACES, "").tr("−–", "--").delete_suffix("%")
            end
          end
        end

        # Numbers that were read, as what the statistics work with.
        module Values
          class << self
            # key :: of a Form; read :: Hash as Figures gives it. Gives a TwoByTwo, [Means::Group,
            # Means::Group], [events, time, events, time], [events, total], an Accuracy, or the Hash
            # of a ready-made effect. Raises InputError naming the field.
            def of(key, read)
              case key
              when "counts" then Statistics::TwoByTwo.new(**read.slice(*Statistics::TwoByTwo.attribute_names))
              when "four_cells" then Statistics::Accuracy.new(**read.slice(*Statistics::Accuracy.attribute_names))
              when "events_over_time" then read.values_at(:events, :time, :comparison_events,
                                                          :comparison_time)
              when "one_group" then read.values_at(:events, :total)
              when "estimate" then read
              else ["", Form::OTHER].map { |prefix| group(key, ->(name) { read.fetch(:"#{prefix}#{name}") }) }
              end
            end

            # How a mean or deviation that the paper does not give was made; nil where nothing was.
            def made(key)
              Book.t("appraisal.made.#{key}") if Book.has?("appraisal.made.#{key}")
            end

            private

            def group(key, of)
              spread = Statistics::Spread
              size = of[:size]
              case key
              when "means_sd" then Statistics::Effects::Means::Group.new(size:, mean: of[:mean],
                                                                         deviation: of[:deviation])
              when "means_se" then spread.from_error(size, of[:mean], of[:error])
              when "means_interval" then spread.from_interval(size, of[:mean], of[:low], of[:high])
              when "medians_quartiles" then spread.from_quartiles(size, of[:lower], of[:median],
                                                                  of[:upper])
              when "medians_range" then spread.from_range(size, of[:least], of[:median], of[:most])
              else spread.from_both(size, of[:least], of[:lower], of[:median], of[:upper], of[:most])
              end
            end
          end
        end
      end
    end
  end
end
