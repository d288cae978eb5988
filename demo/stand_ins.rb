# frozen_string_literal: true

require "rack"
require "rbconfig"
require "socket"

module Hobrin
  module Demo
    # The stand-ins beside the demo: processes of their own on this machine, on the list of
    # catalogues while they run.
    class StandIns
      PROGRAM = File.expand_path("../config/stand_in.rb", __dir__)
      HOST = "127.0.0.1"
      private_constant :PROGRAM, :HOST

      # home :: Pathname of the demo
      def initialize(home)
        @home = home
        @pids = []
        @ports = StandIn::KINDS.keys.to_h { |kind| [kind, free_port] }
      end

      # What HOBRIN_SOURCES has to name.
      def allowed = @ports.values.map { |port| "#{HOST}:#{port}" }

      # Starts them. Should this process be killed, they end by themselves.
      def start
        @pids = @ports.map do |kind, port|
          env = { "HOBRIN_HOME" => @home.join("stand-ins", kind).to_s,
                  "HOBRIN_PARENT" => Process.pid.to_s }
          Process.spawn(env, RbConfig.ruby, PROGRAM, kind, port.to_s, in: File::NULL, out: File::NULL,
                                                                      err: File::NULL)
        end
      end

      # Ends them now: the server waits for every child before it ends itself.
      def stop
        @pids.each do |pid|
          Process.kill(:TERM, pid)
        rescue Errno::ESRCH
          nil
        end
      end

      # Puts them on the list. context :: Services::Context of the demo
      def list(context)
        StandIn::KINDS.each do |kind, one|
          ability = one.ability
          context.library.sources.write(
            name: one.name, address: "http://#{HOST}:#{@ports.fetch(kind)}/sru", protocol: "sru",
            version: ability.version, format: ability.schema, about: ability.about, ability:,
            stand_in: true, added_at: context.clock.now
          )
        end
      end

      private

      def free_port = TCPServer.open(HOST, 0) { |server| server.addr[1] }

      # A made-up catalogue on this machine that answers over SRU: some of its papers are in the
      # sample library, too, the others are its own. It stands in for a real one, and says so.
      class StandIn
        # What no other catalogue has.
        OURS_ALONE = %w[hobrin.age hobrin.sex hobrin.species hobrin.flag hobrin.filter hobrin.journal
                        hobrin.added].freeze
        PLAIN = Catalogue::Ability::LEAST.with(
          title: "Plain stand-in",
          about: "A made-up catalogue that knows words, authors and years, and no headings.",
          indexes: { "cql.serverchoice" => %w[all any], "dc.title" => %w[all any],
                     "dc.creator" => [],
                     "dc.date" => %w[>= <=] },
          schemas: %w[dc], most: 50
        )
        RICH = Services::Catalogues::AnswerSru::ABILITY.with(
          title: "Rich stand-in",
          about: "A made-up catalogue with a subject index, slow now and then.", version: "2.0",
          indexes: Services::Catalogues::AnswerSru::ABILITY.indexes.except(*OURS_ALONE),
          modifiers: [], masks: %w[*], schemas: %w[mods dc], most: 100
        )
        # name :: to be told by; seed :: of its own papers; own, shared :: how many of each; slow :: every
        #   how many-th answer takes SECONDS longer, 0 for none
        class Kind < Value
          attributes :name, :ability, :seed, :own, :shared, :slow
        end

        KINDS = { "plain" => Kind.new(name: "Plain stand-in", ability: PLAIN, seed: 11, own: 1_200,
                                      shared: 300, slow: 0),
                  "rich" => Kind.new(name: "Rich stand-in", ability: RICH, seed: 12, own: 1_800,
                                     shared: 400, slow: 25) }.freeze
        SECONDS = 2
        SAMPLE_SIZE = 3_000
        # How many stand first in the sample that are written by hand.
        BY_HAND = 100
        private_constant :SECONDS, :SAMPLE_SIZE, :BY_HAND

        # context :: Services::Context of a home of its own; kind :: one of KINDS
        def initialize(context, kind)
          @context = context
          @kind = kind
          @asked = 0
        end

        # Makes its records, once.
        def fill
          Services::LoadSample.new(@context).call(headings: SampleThesaurus.headings, records:)
        end

        # Rack.
        def call(env)
          request = Rack::Request.new(env)
          slow_now_and_then
          body = Services::Catalogues::AnswerSru.new(@context, ability: @kind.ability)
                                    .call(request.params.transform_values(&:to_s),
                                          host: request.host, port: request.port)
          [200, { "content-type" => "text/xml;charset=utf-8" }, [body]]
        rescue Rack::BadRequest, ArgumentError
          [400, { "content-type" => "text/plain" }, ["This cannot be read.\n"]]
        end

        private

        def slow_now_and_then
          @asked += 1
          sleep SECONDS if @kind.slow.positive? && (@asked % @kind.slow).zero?
        end

        # Papers around the demo's questions stand first in the sample: some of those, and others that
        # were made with another seed, under ids of its own.
        def records
          shared = SampleLibrary.new(size: SAMPLE_SIZE).records.each_slice(SAMPLE_SIZE / @kind.shared).map(&:first)
          own = SampleLibrary.new(size: SAMPLE_SIZE,
                                  seed: @kind.seed).records.drop(BY_HAND).first(@kind.own).map do |record|
            record.with(doi: "10.5555/#{@kind.seed}.#{record.id.split(".").last}", cites: [])
          end
          (shared + own).each_with_index.map do |record, place|
            record.with(id: "#{@kind.seed}#{format("%05d", place)}", cites: [])
          end
        end
      end
    end
  end
end
