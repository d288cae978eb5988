# frozen_string_literal: true

require_relative "../contracts/keeping"

# One contract for the stores of inquiries and people, over both databases.
RSpec.describe "What is kept" do
  after { [inquiries_db, people_db].each(&:disconnect) }

  describe "in SQLite" do
    let(:folder) { Dir.mktmpdir }
    let(:inquiries_db) { Hobrin::Store::Database.open("#{folder}/inquiries.sqlite3", kind: :inquiries, connections: 5) }
    let!(:people_db) { Hobrin::Store::Database.open("#{folder}/people.sqlite3", kind: :people, connections: 5) }

    after { FileUtils.rm_rf(folder) }

    it_behaves_like "what is kept of inquiries and people"
  end

  describe "in PostgreSQL", skip: PostgresServer.missing do
    let(:address) { PostgresServer.fresh }
    let(:inquiries_db) { Hobrin::Store::Postgres.open(address, kind: :inquiries, connections: 8) }
    let!(:people_db) { Hobrin::Store::Postgres.open(address, kind: :people, connections: 8) }

    it_behaves_like "what is kept of inquiries and people"
  end
end
