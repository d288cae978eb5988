# frozen_string_literal: true

RSpec.describe Hobrin::Services::Screen::Read, :sample do
  it "opens the next unread paper, round the list, and stays when all are read" do
    Hobrin::Services::Inquiries::Start.new(context).call("Do earplugs help?")
    mark("I", "earplugs", id: 6)
    add_words("I", "eye shade*", "skin injury", id: 6)
    reader = -> { described_class.new(context, opened(6)) }
    ids = reader.call.call.records.map(&:id)
    seen = ids.each_with_object([ids.last]) do |_, order|
      decide(order.last, :unsure, id: 6)
      order << reader.call.following(order.last)
    end
    expect(ids.size).to be > 1
    expect(seen).to eq([ids.last, *ids[0...-1], ids[-2]])
  end
end
