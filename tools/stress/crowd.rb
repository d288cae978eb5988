# frozen_string_literal: true

require "net/http"
require "socket"

module Hobrin
  module Tools
    module Stress
      # Fifty people at once on a server as people start it: forty look, ten change things. Each
      # waits for an answer and then thinks for a while, as people do.
      class Crowd
        WORD = "a quiet night please"
        PAGES = %w[ask word narrow sift weigh act trail].freeze
        THINKS = (1.0..3.0)
        # What one person's browser does.
        class Visitor
          attr_reader :times, :faults, :written

          # port :: of the server; seed :: for what is looked at
          def initialize(port, login, inquiry, seed)
            @port = port
            @login = login
            @inquiry = inquiry
            @random = Random.new(seed)
            @times = []
            @faults = []
            @written = []
          end

          def sign_in
            ask("/sign-in")
            ask("/sign-in", "login" => @login, "password" => WORD)
            @times.clear
          end

          # turns :: how often; writes :: whether they change things
          def work(turns, writes:)
            turns.times do |turn|
              sleep @random.rand(THINKS)
              writes && turn.odd? ? change(turn) : ask("/inquiries/#{@inquiry}/#{PAGES.sample(random: @random)}")
            end
          end

          private

          def change(turn)
            word = "#{@login}x#{turn}"
            ask("/inquiries/#{@inquiry}/word")
            status = ask("/inquiries/#{@inquiry}/terms", "block" => "P", "typed" => word)
            @written << word if status == 303
          end

          def ask(path, form = nil)
            started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
            answer = Net::HTTP.start("127.0.0.1", @port, read_timeout: 30) do |http|
              http.request(request(path, form))
            end
            @times << (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started)
            remember(answer)
            status = answer.code.to_i
            @faults << [path, status] if status >= 400
            status
          rescue SystemCallError, Timeout::Error => e
            @faults << [path, e.class.name]
          end

          def request(path, form)
            request = form ? Net::HTTP::Post.new(path) : Net::HTTP::Get.new(path)
            request["Cookie"] = @cookie if @cookie
            request.set_form_data({ "authenticity_token" => @token, **form }) if form
            request
          end

          def remember(answer)
            @cookie = answer["set-cookie"]&.split(";")&.first || @cookie
            @token = answer.body.to_s[/name="authenticity_token" value="([^"]+)"/, 1] || @token
          end
        end

        # home :: Pathname with the sample
        def initialize(home, people: 50, writers: 10, turns: 20)
          @home = home
          @people = people
          @writers = writers
          @turns = turns
        end

        # Gives an Array of lines.
        def call
          context = Boot.context(home: @home)
          logins = let_in(context)
          visitors = serving { |port| visit(port, logins) }
          lost = visitors.flat_map(&:written) - words(Boot.context(home: @home))
          report(visitors, lost)
        end

        private

        def let_in(context)
          ward = context.directory.wards.named("Stress")
          hash = Services::SignIn::Passwords.digest(WORD)
          ids = Array.new(@people) do |place|
            id = context.directory.accounts.add(name: "Visitor #{place}", login: "visitor#{place}", hash:,
                                                at: context.clock.now)
            context.directory.wards.put(ward.id, id, :librarian)
            id
          end
          context.inquiries.all.each do |saved|
            context.standings.put(saved.id, ward_id: ward.id, owner_id: ids.first)
          end
          Array.new(@people) { |place| "visitor#{place}" }
        end

        def visit(port, logins)
          visitors = logins.each_with_index.map do |login, place|
            Visitor.new(port, login, 1 + (place % 5), place)
          end
          visitors.each_slice(4) { |some| some.map { |one| Thread.new { one.sign_in } }.each(&:join) }
          visitors.each_with_index.map { |one, place| Thread.new { one.work(@turns, writes: place < @writers) } }.each(&:join)
          visitors
        end

        def serving
          port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
          out, into = IO.pipe
          env = { "PORT" => port.to_s, "HOBRIN_HOME" => @home.to_s }
          pid = Process.spawn(env, RbConfig.ruby, Boot::ROOT.join("config/cli.rb").to_s, "serve", "--shared",
                              out: into, pgroup: true)
          into.close
          raise StateError, "The server did not start." unless out.gets.to_s.include?("Hobrin is at")

          yield port
        ensure
          Process.kill(:TERM, -pid)
          Process.wait(pid)
        end

        def words(context)
          context.inquiries.all.flat_map do |saved|
            saved.inquiry.blocks.flat_map { |block| block.terms.map { |term| term.leaf.label } }
          end
        end

        def report(visitors, lost)
          times = visitors.flat_map(&:times).sort
          at = ->(share) { (times[((times.size - 1) * share).round] * 1000).round }
          faults = visitors.flat_map(&:faults)
          ["#{@people} people at once, #{@writers} of them changing things: #{times.size} answers, half of them " \
           "within #{at[0.5]} ms, 95 of 100 within #{at[0.95]} ms, the slowest #{at[1]} ms.",
           "#{visitors.sum { |visitor| visitor.written.size }} changes were answered, #{lost.size} of them are lost. " \
           "#{faults.size} errors#{": #{faults.tally.first(5)}" if faults.any?}."]
        end
      end
    end
  end
end
