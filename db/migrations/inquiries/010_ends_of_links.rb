# frozen_string_literal: true

Sequel.migration do
  change do
    # When a link ends by itself, and when somebody opened it last; both are ISO 8601 or null.
    alter_table(:shares) do
      add_column :ends_at, String
      add_column :used_at, String
    end
  end
end
