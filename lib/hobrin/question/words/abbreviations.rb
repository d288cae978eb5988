# frozen_string_literal: true

module Hobrin
  class Question
    # Short forms of the ward, and what they are short for: a few that everybody knows. Common
    # practice, no source.
    module Abbreviations
      LONG = {
        "abx" => "antibiotics", "af" => "atrial fibrillation", "aki" => "acute kidney injury", "bp" => "blood pressure",
        "cauti" => "catheter-associated urinary tract infection", "ckd" => "chronic kidney disease",
        "copd" => "chronic obstructive pulmonary disease", "cpr" => "cardiopulmonary resuscitation",
        "ct" => "computed tomography", "dka" => "diabetic ketoacidosis", "dvt" => "deep vein thrombosis",
        "ecg" => "electrocardiogram", "ed" => "emergency department", "gi" => "gastrointestinal",
        "gp" => "general practice",
        "hcai" => "healthcare-associated infection", "hf" => "heart failure", "icu" => "intensive care unit",
        "itu" => "intensive care unit", "iv" => "intravenous", "ld" => "learning disability", "los" => "length of stay",
        "mi" => "myocardial infarction", "mnd" => "motor neurone disease", "ms" => "multiple sclerosis",
        "ng" => "nasogastric", "nicu" => "neonatal intensive care unit", "nsaid" => "anti-inflammatory drugs",
        "peg" => "gastrostomy", "picc" => "peripherally inserted central catheter", "ppi" => "proton pump inhibitor",
        "ptsd" => "post-traumatic stress", "qol" => "quality of life", "sob" => "breathlessness",
        "ssi" => "surgical site infection", "tia" => "transient ischaemic attack", "uti" => "urinary tract infection",
        "vap" => "ventilator-associated pneumonia", "vte" => "venous thromboembolism"
      }.freeze
      private_constant :LONG

      class << self
        # phrase :: String. Gives it with its short forms written out, as an Array of one; empty when
        # it has none.
        #
        #   Abbreviations.written_out("UTIs at home") # => ["urinary tract infection at home"]
        def written_out(phrase)
          words = Text::Tokens.of(phrase)
          long = words.map { |word| LONG[word] || LONG[word.sub(/(?<!s)s\z/, "")] || word }
          long == words ? [] : [long.join(" ")]
        end
      end
    end
  end
end
