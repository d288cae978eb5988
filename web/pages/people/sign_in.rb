# frozen_string_literal: true

require "rqrcode"

module Hobrin
  module Web
    module Pages
      module People
        # One of the pages of signing in.
        class SignIn < Page
          # name :: as rodauth calls it. Gives [the view, the title]
          NAMES = { "login" => [:sign_in, "Sign in"], "logout" => [:sign_out, "Sign out"],
                    "forgotten" => [:forgotten, "A new password"],
                    "reset-password" => [:new_password, "A new password"],
                    "change-password" => [:password, "Change your password"],
                    "otp-setup" => [:second_step_on, "A second step"],
                    "otp-auth" => [:second_step, "The second step"],
                    "otp-disable" => [:second_step_off, "Take the second step off"],
                    "recovery-auth" => [:spare_code, "A spare code"],
                    "recovery-codes" => [:spare_codes, "Spare codes"],
                    "add-recovery-codes" => [:spare_codes, "Spare codes"] }.freeze
          private_constant :NAMES

          attr_reader :notice, :warning, :view, :title, :people

          # rodauth :: what answers; people :: Array of the made-up people that one may be, in the
          #   demo
          def initialize(name:, rodauth:, errors:, notice:, warning:, mail:, people: [])
            super(errors:)
            @view, @title = NAMES.fetch(name)
            @rodauth = rodauth
            @notice = notice
            @warning = warning
            @mail = mail
            @codes = name == "add-recovery-codes"
            @people = people
          end

          # What who is signed in signs in with, for the browser that keeps passwords.
          def login = (@rodauth.account || @rodauth.account_from_session)&.fetch(:login).to_s

          def sample? = people.any?
          def said = warning || notice

          # Whether letters go out.
          def mail? = @mail

          # What was typed, but never a password.
          def typed(name) = @rodauth.param_or_nil(name).to_s

          # The secret of the second step: as texts of four letters, and as a picture.
          def secret = @rodauth.otp_user_key.scan(/.{1,4}/).join(" ")

          def secret_fields
            { otp_secret: @rodauth.otp_user_key, otp_raw_secret: @rodauth.otp_key }
          end

          def secret_picture
            code = RQRCode::QRCode.new(@rodauth.otp_provisioning_uri)
            code.as_svg(use_path: true, module_size: 4, viewbox: true, offset: 16, fill: "fff")
          end

          def codes = @rodauth.recovery_codes
          def codes_shown? = @codes
        end
      end
    end
  end
end
