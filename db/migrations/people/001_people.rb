# frozen_string_literal: true

# Who signs in, with what rodauth keeps of them; wards; who was invited; and a log that is only
# added to.
Sequel.migration do
  change do
    create_table(:accounts) do
      primary_key :id
      # What is typed to sign in: an address of mail, or a name.
      String :login, null: false, unique: true
      String :name, null: false
      # 2: may sign in; 3: may no more (rodauth's numbers).
      Integer :status_id, null: false, default: 2
      TrueClass :runs, null: false, default: false
      String :made_at, null: false
    end

    create_table(:account_password_hashes) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :password_hash, null: false
    end

    create_table(:account_password_reset_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      DateTime :deadline, null: false
      DateTime :email_last_sent, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:account_remember_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      DateTime :deadline, null: false
    end

    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, on_delete: :cascade
      String :session_id
      DateTime :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      DateTime :last_use, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id session_id]
    end

    create_table(:account_otp_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      Integer :num_failures, null: false, default: 0
      DateTime :last_use, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:account_recovery_codes) do
      foreign_key :id, :accounts, on_delete: :cascade
      String :code
      primary_key %i[id code]
    end

    create_table(:wards) do
      primary_key :id
      String :name, null: false, unique: true
    end

    create_table(:ward_people) do
      foreign_key :ward_id, :wards, null: false, on_delete: :cascade
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade
      # member or librarian
      String :role, null: false
      primary_key %i[ward_id account_id]
    end

    # digest: of the secret part of the address, which is kept nowhere.
    create_table(:invitations) do
      primary_key :id
      String :digest, null: false, unique: true
      String :name, null: false
      foreign_key :ward_id, :wards, on_delete: :cascade
      String :role, null: false
      TrueClass :runs, null: false, default: false
      String :made_by, null: false
      String :made_at, null: false
      String :ends_at, null: false
      String :used_at
    end

    # Tries of a name that went wrong, whether there is such a person or not.
    create_table(:tries) do
      String :digest, primary_key: true
      Integer :count, null: false
      String :last_at, null: false
    end

    # before: the fingerprint of the line before; print: of this one with it.
    create_table(:audit) do
      primary_key :number
      String :at, null: false
      String :who, null: false
      String :what, null: false
      String :about, text: true, null: false
      String :before, null: false
      String :print, null: false
    end
  end
end
