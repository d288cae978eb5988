# frozen_string_literal: true

Sequel.migration do
  change do
    # What holds for the whole house, such as where its library resolves links.
    create_table(:settings) do
      String :name, primary_key: true
      String :value, text: true, null: false
    end
  end
end
