# frozen_string_literal: true

# A line of the trail keeps what it changed; every fiftieth keeps the whole inquiry. A decision used to
# write all of it twice.
Sequel.migration do
  change do
    alter_table(:trail) do
      # What changed since the line before, as JSON (see Store::Differences); null where `state` has
      # the whole inquiry, which is "" otherwise.
      add_column :changes, String, text: true
    end

    alter_table(:inquiries) do
      # The last line of the trail that has the whole inquiry; null for one that was last written
      # before, whose own `state` has it.
      add_column :state_line, Integer
      # What the board shows of it, as JSON (see Store::OutlineDocument), and by what it is sorted; null
      # for one that was last written before.
      add_column :outline, String, text: true
      add_column :stage, String
      add_column :look_again_on, String
      # All that a board is found and sorted by, so that no row is read for that.
      add_index %i[deleted_at aside_at ward_id stage look_again_on touched_at owner_id], name: :inquiries_board
    end
  end
end
