# frozen_string_literal: true

# Going back and forth, against a plain editor with two stacks (common practice, no source).
RSpec.describe Hobrin::Trail::History do
  it "goes back and forth as two stacks would, whatever is done" do
    random = Random.new(7)
    200.times do
      lines, past, future = [[1, nil]], [1], []
      random.rand(1..30).times do
        history = described_class.new(lines)
        expect([history.before, history.redo]).to eq([past[-2], future.last])
        number = lines.size + 1
        case random.rand(3)
        when 0
          lines << [number, nil]
          past << number
          future = []
        when 1
          next unless history.undo

          lines << [number, history.before]
          future << past.pop
        else
          next unless history.redo

          lines << [number, history.redo]
          past << future.pop
        end
      end
    end
  end
end
