# What bin/demo and bin/test share. Each check says what is wrong in one line.

die() { echo "hobrin: $*" >&2; exit 2; }

need_ruby() {
  command -v ruby >/dev/null || die "Ruby 3.1 or newer is needed. On Debian 12: apt-get install ruby-full build-essential"
  ruby -e 'exit(Gem::Version.new(RUBY_VERSION) >= Gem::Version.new("3.1"))' ||
    die "Ruby 3.1 or newer is needed; this is $(ruby -e 'print RUBY_VERSION')."
  command -v bundle >/dev/null || die "Bundler is needed: gem install bundler, or apt-get install ruby-bundler"
}

need_writable() {
  mkdir -p "$1" 2>/dev/null && [ -w "$1" ] || die "The folder $1 cannot be written. HOBRIN_HOME names another."
}

# Gems go into vendor/bundle beside the code, so that nothing else on the machine changes.
install_gems() {
  export BUNDLE_PATH="${BUNDLE_PATH:-vendor/bundle}"
  bundle check >/dev/null 2>&1 && return
  echo "Installing the gems, once. This takes some minutes."
  bundle install --jobs 4 --quiet || die "The gems could not be installed. Is build-essential there, and a way to the gem registry?"
}

# Browser tests need Debian's Chromium and its driver; they are installed where that is allowed.
need_chromium() {
  [ -x /usr/bin/chromium ] && [ -x /usr/bin/chromedriver ] && return
  local how="apt-get install chromium chromium-driver"
  command -v apt-get >/dev/null && [ "$(id -u)" = 0 ] || die "Browser tests need Chromium and its driver: $how"
  echo "Installing Chromium and its driver, once."
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends chromium chromium-driver; } >/dev/null ||
    die "Chromium could not be installed: $how"
}
