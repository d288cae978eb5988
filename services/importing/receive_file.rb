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
        path = @context.incoming.receive(io)
        import = @context.library.imports.begin(name: named(name), size: File.size(path),
                                                at: @context.now, state: "waiting")
        @context.incoming.name(path, import.id)
        WakeWorker.new(@context).call
        import
      end

      private

      # The last part of a path, without what no name has.
      def named(name)
        text = name.to_s.scrub("").tr("\\", "/").split("/").last.to_s.gsub(/[[:cntrl:]]/, "").strip
        text.empty? ? "a file" : text[0, LONGEST_NAME]
      end
    end
  end
end
