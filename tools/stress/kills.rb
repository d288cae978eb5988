# frozen_string_literal: true

module Hobrin
  module Tools
    module Stress
      # Kills a process a thousand times while it changes an inquiry: every change that it had
      # answered must be there.
      class Kills
        # Seconds that it may live.
        LONGEST = 0.12
        private_constant :LONGEST

        def initialize(home, times: 1_000, seed: 9)
          @home = home
          @times = times
          @random = Random.new(seed)
        end

        # Gives an Array of lines.
        def call
          @context = Boot.context(home: @home)
          id = Services::Inquiries::Start.new(@context).call("Does it hold?")
          edit(id, 0)
          answered = lost = 0
          @times.times do
            last = killed(id)
            there = @context.inquiries.find(id).version
            answered += 1 if last
            lost += 1 if last && there < last
          end
          [*lines(answered, lost), whole(id)]
        end

        private

        def lines(answered, lost)
          ["Killed #{@times} times while it wrote, #{answered} times after a change was answered: " \
           "#{lost} of those are lost."]
        end

        # The version that was answered last before the kill, or nil.
        def killed(id)
          Boot.disconnect
          from, to = IO.pipe
          pid = Process.fork { change(id, to) }
          to.close
          sleep @random.rand(LONGEST)
          Process.kill(:KILL, pid)
          Process.wait(pid)
          from.read.lines.last&.then { |line| line.end_with?("\n") ? line.to_i : nil }
        end

        def change(id, out)
          (1..).each do |turn|
            line = edit(id, turn)
            out.syswrite("#{line}\n") if line
          end
        end

        # Gives the version that was answered, nil when nothing was to be changed.
        def edit(id, turn)
          aim = Narrowing::Target.new(from: 1 + (turn % 9), to: 20)
          Services::ApplyEdit.new(@context).call(id, Edits::Limits::SetTarget.new(aim:)).line
        end

        def whole(id)
          numbers = @context.inquiries.trail(id).map(&:number)
          gaps = numbers == numbers.size.downto(1).to_a ? "none missing" : "some missing"
          # It reads every page of each file again.
          Services::Backup::Keep.new(@context, @home).call(@home.join("copy"))
          "The trail has #{numbers.size} lines, #{gaps}. The files are whole."
        end
      end
    end
  end
end
