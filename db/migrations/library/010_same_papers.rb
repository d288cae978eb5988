# frozen_string_literal: true

# The key by which records that may be one paper are found is wider than it was: it no longer holds the year and the page, which
# Records::SamePaper weighs. Links that stand are left as they are; what comes in from now on is compared with what is there.
Sequel.migration do
  up do
    create_table?(:rebuilds) { String :part, primary_key: true }
    from(:rebuilds).insert_ignore.insert(part: "keys of the same paper")
  end
  down { nil }
end
