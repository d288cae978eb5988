# frozen_string_literal: true

# What scikit_learn.py works on: papers of the sample as folded words, pairs of them, and decisions.
require_relative "../support/likeness_material"

puts JSON.generate(LikenessMaterial.to_h)
