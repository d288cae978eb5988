# frozen_string_literal: true

# What `rake console` begins with.
require_relative "boot"

def context = @context ||= Hobrin::Boot.context
