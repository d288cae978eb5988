# frozen_string_literal: true

# Makes what SampleHome gives to examples, once for several processes: in HOBRIN_TEST_SAMPLE.
require "fileutils"
require "json"
require "tmpdir"
require_relative "../../config/boot"
require_relative "builders"
require_relative "sample_home"

SampleHome.csl
SampleHome.make("#{SampleHome.folder}/home")
