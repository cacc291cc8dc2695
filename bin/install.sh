# What must be on the machine, from Debian's packages, Composer and npm; sourced by ./acre.

PACKAGES="php8.2-cli php8.2-fpm php8.2-pgsql php8.2-sqlite3 php8.2-curl php8.2-mbstring php8.2-mailparse php8.2-intl php8.2-xml php8.2-zip
  nginx-light postgresql supervisor unzip procps"
TEST_PACKAGES="chromium chromium-driver publicsuffix idn2 bind9-dnsutils bind9-utils knot-dnsutils ldnsutils unbound-host
  python3-dnspython whois curl libnet-epp-perl python3-phonenumbers python3-vobject iso-codes"
# What only ./acre test reference --all asks.
LARGE_PACKAGES="zonemaster-cli iproute2"

missing_packages() {
  local package
  for package in "$@"; do
    dpkg-query -W -f='${db:Status-Status}' "$package" 2>/dev/null | grep -qx installed || echo "$package"
  done
}

# Debian starts what it installs; ours is started by us, on ports of its own.
install_packages() {
  local wanted held=no policy=/usr/sbin/policy-rc.d
  wanted=$(missing_packages "$@" | tr '\n' ' ')
  [ -n "$wanted" ] || return 0
  [ -f /etc/debian_version ] || die "Missing: $wanted. This is not Debian: install them yourself."
  is_root || command -v sudo >/dev/null || die "Missing: $wanted. Run once as root, or install sudo."
  step "Debian packages: $wanted"
  if [ ! -e $policy ]; then held=yes; printf '#!/bin/sh\nexit 101\n' | as_admin tee $policy >/dev/null; as_admin chmod +x $policy; fi
  if ! as_admin env DEBIAN_FRONTEND=noninteractive \
    sh -c "apt-get update -qq && apt-get install -y -qq --no-install-recommends $wanted" > "$LOGS/apt.log" 2>&1; then
    [ $held = no ] || as_admin rm -f $policy
    tail -5 "$LOGS/apt.log" >&2
    die "apt-get failed; the full output is in $LOGS/apt.log"
  fi
  [ $held = no ] || as_admin rm -f $policy
}

wanted_commands() {
  command -v composer >/dev/null || echo composer
  command -v git >/dev/null || echo git
  command -v node >/dev/null || echo nodejs
  command -v npm >/dev/null || echo npm
}

stamp() { cat "$@" 2>/dev/null | cksum; }

# Runs a step again only when the files that it depends on have changed.
once() {
  local mark=$STAMPS/$1 log=$LOGS/$1.log now=$2 told=$3; shift 3
  [ "$(cat "$mark" 2>/dev/null)" = "$now" ] && return 0
  step "$told"
  "$@" > "$log" 2>&1 || {
    tail -15 "$log" >&2
    die "that failed; the full output is in $log"
  }
  echo "$now" > "$mark"
}

# Some archives come readable for their owner only, and the web server is somebody else.
composer_install() {
  COMPOSER_ALLOW_SUPERUSER=1 composer install --ignore-platform-req=php+ --no-interaction --no-progress --no-scripts "$@" \
    && chmod -R go+rX vendor || return 1
  # Laravel's own lists of what is installed are made again of what is there now.
  rm -f "$ROOT"/var/cache/{packages,services}.php "$ROOT"/var/*/cache/{packages,services}.php
}

npm_install() { npm ci --no-audit --no-fund; }
build_assets() { npm run build && chmod -R go+rX public/build; }

install_all() {
  local packages=$PACKAGES
  LOGS=$ROOT/var/log; STAMPS=$ROOT/var/stamps
  mkdir -p "$LOGS" "$STAMPS"
  [ "${1:-}" = with-tests ] && packages="$packages $TEST_PACKAGES"
  # shellcheck disable=SC2046,SC2086
  install_packages $packages $(wanted_commands)
  [ -d vendor ] || rm -f "$STAMPS/composer"
  [ -d node_modules ] || rm -f "$STAMPS/npm"
  [ -f public/build/manifest.json ] || rm -f "$STAMPS/build"
  # What serves people has no development packages; a folder that tests once ran in keeps its own.
  local libraries; libraries=$(stamp composer.json)
  if [ "${1:-}" = with-tests ] || grep -q 'with tests' "$STAMPS/composer" 2>/dev/null; then
    once composer "$libraries with tests" "PHP libraries (Composer)" composer_install
  else
    once composer "$libraries" "PHP libraries (Composer)" composer_install --no-dev
  fi
  once npm "$(stamp package-lock.json)" "front-end packages (npm)" npm_install
  # shellcheck disable=SC2046
  once build "$(stamp package-lock.json vite.config.js $(find resources/css resources/js -type f | sort))" \
    "pages' styles and scripts (Vite)" build_assets
}
