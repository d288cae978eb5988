# frozen_string_literal: true

# Time that luck has no part in: the processor's own, so that what else runs on the machine does not
# count; and what looks slow is tried again, since one run may fall together with a sweep of the
# memory. The quickest counts.
module Timing
  AGAIN = 4
  LEAST = 0.4

  def timed
    before = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
    yield
    Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - before
  end

  def least_time(times = AGAIN, &) = Array.new(times) { timed(&) }.min

  # What is twice as large may take three times as long; below two fifths of a second the clock
  # tells nothing. The block does the work of the size that it is given.
  def expect_linear(name, sizes)
    times = sizes.map { |size| timed { yield size } }
    AGAIN.times do
      slow = slower(times) or break
      times[slow] = [times[slow], timed { yield sizes[slow] }].min
    end
    expect([name, times, slower(times)]).to eq([name, times, nil])
  end

  def slower(times)
    (1...times.size).find { |place| times[place] > 3 * [times[place - 1], LEAST].max }
  end
end
