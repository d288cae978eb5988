# frozen_string_literal: true

module Hobrin
  module Services
    # Takes a file in, to be read into the library by a process of its own.
    class ReceiveFile
      LARGEST_BYTES = Store::Incoming::LARGEST_BYTES
      LONGEST_NAME = 120
      private_constant :LONGEST_NAME

      def initialize(context)
        @context = context
      end

      # io :: of the file, read as bytes; name :: as it was called where it came from
      # Gives the Store::Imports::Import. Raises InputError (:file).
      def call(io, name:)
        begin_with(@context.incoming.receive(io), name)
      end

      # One part of a file that comes in parts; see Store::Incoming#add_part. Gives the Import once it is
      # whole, nil before. Raises InputError (:file).
      def part(io, name:, upload:, at:, size:)
        path = @context.incoming.add_part(io, upload:, at:, size:, who: @context.person&.id)
        path && begin_with(path, name)
      end

      private

      def begin_with(path, name)
        import = @context.library.imports.begin(name: named(name), size: File.size(path),
                                                at: @context.now, state: "waiting")
        @context.incoming.name(path, import.id)
        WakeWorker.new(@context).call
        import
      end

      # The last part of a path, without what no name has.
      def named(name)
        text = name.to_s.scrub("").tr("\\", "/").split("/").last.to_s.gsub(/[[:cntrl:]]/, "").strip
        text.empty? ? "a file" : text[0, LONGEST_NAME]
      end
    end
  end
end
