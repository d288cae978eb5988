# frozen_string_literal: true

Sequel.migration do
  change do
    # What an address shows: the brief, or a feed of new papers.
    alter_table(:shares) { add_column :kind, String, null: false, default: "brief" }
  end
end
