# frozen_string_literal: true

Sequel.migration do
  change do
    # How far the log was found to be as it was written, and each month of it that has ended.
    create_table(:audit_months) do
      # "2026-11"
      String :month, primary_key: true
      Integer :upto, null: false
      Integer :lines, null: false
      # Of its last line.
      String :print, null: false
      # The fingerprint of all its lines and of the month before.
      String :seal, null: false
    end
    create_table(:audit_checks) do
      Integer :number, primary_key: true
      String :print, null: false
    end

    # Tries of strangers beyond the first ones of an hour: counted here, and written as one line when
    # the hour is over.
    create_table(:audit_folds) do
      String :what, null: false
      # "2026-11-30T10"
      String :hour, null: false
      Integer :count, null: false
      primary_key %i[what hour]
    end
  end
end
