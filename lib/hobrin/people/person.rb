# frozen_string_literal: true

module Hobrin
  module People
    # Someone who signs in.
    #
    # id :: Integer; name :: as the trail writes it; login :: what is typed to sign in
    # runs :: whether they look after this Hobrin: people, catalogues, imports; not inquiries
    # wards :: Hash of ward id to :member or :librarian
    class Person < Value
      attributes :id, :name, :login, :runs, :wards

      ROLES = { member: "member", librarian: "librarian" }.freeze
      LONGEST_NAME = 80

      def initialize(id:, name:, login:, runs: false, wards: {})
        @id = id
        @name = name.dup.freeze
        @login = login.dup.freeze
        @runs = runs ? true : false
        @wards = wards.dup.freeze
        freeze
      end

      def in?(ward_id) = wards.key?(ward_id)
      def librarian?(ward_id = nil) = ward_id ? wards[ward_id] == :librarian : wards.value?(:librarian)
    end
  end
end
