# frozen_string_literal: true

module Hobrin
  module Services
    # Whose an inquiry is, and what others may do with it.
    module Sharing
      # Says what others of the ward may do with an inquiry.
      class ShareInquiry < Service
        # owner :: People::Person or nil; ward :: People::Ward or nil; people :: Hash of each other
        #   Person of the ward to what they may, of People::Standing::ABILITIES
        class Shared < Value
          attributes :owner, :ward, :people, :given
        end

        # Gives a Shared. Raises GoneError.
        def read(id)
          standing = @context.standings.of(id)
          all = @context.directory.accounts.all
          others = all.select do |person|
            person.in?(standing.ward_id) && person.id != standing.owner_id
          end
          Shared.new(owner: all.find { |person| person.id == standing.owner_id }, given: standing.given,
                     ward: @context.directory.wards.all.find { |ward| ward.id == standing.ward_id },
                     people: others.to_h { |person| [person, standing.ability(person)] })
        end

        # ability :: name of People::Standing::GIVEN, "owns" to hand the inquiry over. Raises
        #   GoneError for who is not on the ward, InputError (:ability).
        def give(id, person_id, ability)
          shared = read(id)
          person = shared.people.keys.find { |key| key.id == person_id } or raise GoneError, "person"
          known = [*People::Standing::GIVEN.keys, :owns].find { |known| known.to_s == ability }
          raise InputError, { ability: Book.t("errors.people.choose_role") } unless known

          known == :owns ? hand_over(id, shared, person) : @context.standings.give(id, person.id, known)
          @context.audit.note("inquiry #{id}", "#{person.name}: #{known}")
        end

        private

        # Who had it works on it from then on.
        def hand_over(id, shared, person)
          @context.standings.put(id, ward_id: shared.ward.id, owner_id: person.id)
          @context.standings.give(id, person.id, nil)
          @context.standings.give(id, shared.owner.id, :works) if shared.owner
        end
      end

      # Inquiries that were made at this Hobrin while nobody was signed in, and that who signed in may take
      # along. Only where nobody has to sign in: there anybody can see them anyway.
      class TakeAlong < Service
        # How many there are; 0 where nobody is signed in.
        def count = @context.user.person ? @context.standings.unowned.size : 0

        def unowned?(id) = @context.standings.unowned.include?(id)

        # Puts all of them on the person's ward, as theirs. Gives how many. Raises RefusedError where nobody
        # is signed in.
        def call
          raise RefusedError, Book.t("errors.people.sign_in_first") unless @context.user.person

          whose = @context.user.whose
          count = @context.standings.put_unowned(**whose)
          @context.audit.note("inquiries taken along", count.to_s) if count.positive?
          count
        end
      end
    end
  end
end
