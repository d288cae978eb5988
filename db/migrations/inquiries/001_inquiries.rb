# frozen_string_literal: true

# Small and precious: what people wrote and decided. Papers are named by their own ids, so that the
# library can be rebuilt underneath.
Sequel.migration do
  change do
    create_table(:inquiries) do
      primary_key :id
      # Of the last change.
      String :step, null: false
      # Goes up with each change; a change made on an older one is refused.
      Integer :version, null: false
      TrueClass :sample, null: false, default: false
      # The inquiry as JSON, which begins with the number of its format.
      String :state, text: true, null: false
      # Papers left at the last change, and the library in which they were counted.
      Integer :papers, null: false
      String :library_version, null: false
      String :created_at, null: false
      String :touched_at, null: false
    end

    # Study filters that people here wrote, offered in every inquiry. A search that has one keeps
    # its terms itself.
    create_table(:own_filters) do
      String :title, primary_key: true
      # As CQL.
      String :terms, text: true, null: false
      String :at, null: false
    end

    create_table(:trail) do
      primary_key :id
      foreign_key :inquiry_id, :inquiries, null: false, on_delete: :cascade
      Integer :number, null: false
      String :at, null: false
      String :who, null: false
      String :step, null: false
      # What was done, and what is to be told of it, as JSON: data, so that words may change and
      # lines be found.
      String :kind, null: false
      String :facts, text: true, null: false
      Integer :count_before, null: false
      Integer :count_after, null: false
      String :library_version, null: false
      String :note, text: true, null: false, default: ""
      # For going back and forth: the number of the line whose state this one brings back.
      Integer :brings_back
      # The inquiry as it was after the change: enough to look at it, restore it and run it again.
      String :state, text: true, null: false
      unique %i[inquiry_id number]
    end
  end
end
