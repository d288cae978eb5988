# What bin/demo and bin/test share. Each check says what is wrong in one line.

die() { echo "hobrin: $*" >&2; exit 2; }

need_ruby() {
  command -v ruby >/dev/null || die "Ruby 3.1 or newer is needed. On Debian 12: apt-get install ruby-full build-essential"
  ruby -e 'exit(Gem::Version.new(RUBY_VERSION) >= Gem::Version.new("3.1"))' ||
    die "Ruby 3.1 or newer is needed; this is $(ruby -e 'print RUBY_VERSION')."
  command -v bundle >/dev/null || die "Bundler is needed: gem install bundler, or apt-get install ruby-bundler"
}

# A folder of patients' questions is its owner's alone.
need_writable() {
  (umask 077; mkdir -p "$1") 2>/dev/null && [ -w "$1" ] || die "The folder $1 cannot be written. HOBRIN_HOME names another."
  [ ! -O "$1" ] || chmod 700 "$1"
}

# Some gems are compiled: a compiler, Ruby's headers and those of zlib must be there.
need_compiler() {
  local headers; headers="$(ruby -e 'print RbConfig::CONFIG["rubyhdrdir"]')"
  command -v cc >/dev/null && [ -e "$headers/ruby.h" ] && [ -e /usr/include/zlib.h ] && return
  local how="apt-get install build-essential ruby-dev zlib1g-dev libxml2-dev libxslt1-dev pkg-config"
  command -v apt-get >/dev/null && [ "$(id -u)" = 0 ] || die "Gems must be compiled: $how"
  echo "Installing a compiler and headers, once."
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends \
    build-essential ruby-dev zlib1g-dev libxml2-dev libxslt1-dev pkg-config; } >/dev/null || die "They could not be installed: $how"
}

# Gems go into vendor/bundle beside the code, so that nothing else on the machine changes.
install_gems() {
  export BUNDLE_PATH="${BUNDLE_PATH:-vendor/bundle}"
  # Asking takes longer than many a command: what was complete stays so until the lock file changes.
  local complete; complete="$BUNDLE_PATH/complete-$(printf '%s' "with-${BUNDLE_WITH:-}-without-${BUNDLE_WITHOUT:-}" | tr -c 'a-z-' '-')"
  [ "$complete" -nt "${BUNDLE_GEMFILE:-Gemfile}.lock" ] && return
  bundle check >/dev/null 2>&1 && { touch "$complete" 2>/dev/null || true; return; }
  need_compiler
  echo "Installing the gems, once. This takes some minutes."
  # Debian's own XML library, where its headers are: it is kept safe by Debian, and need not be compiled.
  pkg-config --exists libxml-2.0 libxslt 2>/dev/null && export BUNDLE_BUILD__NOKOGIRI="--use-system-libraries"
  bundle install --jobs 4 --quiet || die "The gems could not be installed. Is build-essential there, and a way to the gem registry?"
  touch "$complete" 2>/dev/null || true
}

# The stores that several servers share are tried over Debian's PostgreSQL, which is started in a folder of its own.
need_postgres() {
  command -v pg_config >/dev/null && ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 && return
  local how="apt-get install postgresql libpq-dev"
  command -v apt-get >/dev/null && [ "$(id -u)" = 0 ] || die "The tests of several servers need PostgreSQL: $how"
  echo "Installing PostgreSQL, once."
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends postgresql libpq-dev; } >/dev/null ||
    die "PostgreSQL could not be installed: $how"
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

# The exchange of records is checked against readers that are not ours; they need Node, and are no part of Hobrin.
need_second_opinions() {
  [ -d node_modules/@citation-js/plugin-ris ] && [ -d node_modules/jsqr ] && [ -d node_modules/html-validate ] && return
  command -v npm >/dev/null || die "The tests of formats need Node and npm: apt-get install nodejs npm"
  echo "Installing the readers that check formats and pages, once."
  npm ci --silent --no-audit --no-fund --ignore-scripts >/dev/null || die "The npm packages could not be installed. Is there a way to the npm registry?"
}

# PDF files are read by poppler, which shares nothing with what writes them.
need_poppler() {
  command -v pdftotext >/dev/null && return
  local how="apt-get install poppler-utils"
  command -v apt-get >/dev/null && [ "$(id -u)" = 0 ] || die "The tests of PDF files need poppler: $how"
  echo "Installing poppler, once."
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends poppler-utils; } >/dev/null ||
    die "Poppler could not be installed: $how"
}

# A foreign catalogue, and clients that ask ours: Debian's Zebra and YAZ.
need_catalogues() {
  command -v zebrasrv >/dev/null && command -v zoomsh >/dev/null && [ -e /usr/share/idzebra-2.0/tab/default.idx ] && return
  local how="apt-get install idzebra-2.0-utils idzebra-2.0-common idzebra-2.0-examples libidzebra-2.0-mod-dom yaz"
  command -v apt-get >/dev/null && [ "$(id -u)" = 0 ] || die "The tests of catalogues need Zebra and YAZ: $how"
  echo "Installing Zebra and YAZ, once."
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends idzebra-2.0-utils idzebra-2.0-common idzebra-2.0-examples libidzebra-2.0-mod-dom yaz; } >/dev/null ||
    die "Zebra and YAZ could not be installed: $how"
}

# The sample bibliographies of Debian's TeX, taken out of the package without installing it.
need_bibliographies() {
  [ -e var/outside/xampl.bib ] && return
  local how="apt-get download texlive-base, and its *.bib files into var/outside"
  command -v apt-get >/dev/null || die "The tests of BibTeX read Debian's sample bibliographies: $how"
  echo "Fetching Debian's sample bibliographies, once."
  local at; at="$(mktemp -d)"
  { (cd "$at" && { apt-get download -qq texlive-base || { apt-get update -qq && apt-get download -qq texlive-base; }; }) &&
    dpkg-deb --fsys-tarfile "$at"/texlive-base_*.deb | tar -xf - -C "$at" --wildcards '*.bib' &&
    mkdir -p var/outside && find "$at" -name '*.bib' -exec cp {} var/outside/ \; ; } >/dev/null 2>&1 || die "They could not be had: $how"
  rm -rf "$at"
}
