# Settings, words and who runs what; sourced by ./acre.

say() { printf '%s\n' "$*"; }
step() { printf '· %s\n' "$*"; }
die() { printf 'acre: %s\n' "$*" >&2; exit 1; }

secret() { head -c 32 /dev/urandom | od -An -tx1 | tr -d ' \n'; }

MADE_KEYS="WORLD_KEY SIGNING_KEY DB_ADMIN_PASSWORD DB_OWNER_PASSWORD DB_PASSWORD"

settings_lack_a_key() {
  local key
  for key in APP_KEY $MADE_KEYS; do grep -qE "^$key=." .env || return 0; done
  return 1
}

fill_key() {
  grep -qE "^$1=." .env && return 0
  if grep -q "^$1=" .env; then sed -i "s|^$1=.*|$1=$2|" .env; else echo "$1=$2" >> .env; fi
}

load_settings() {
  local key
  [ -f .env ] || cp .env.example .env
  # What is empty or missing is filled in, whoever copied the file: by this door, or by hand.
  if settings_lack_a_key; then
    chmod 600 .env
    fill_key APP_KEY "base64:$(head -c 32 /dev/urandom | base64)"
    for key in $MADE_KEYS; do fill_key "$key" "$(secret)"; done
  fi
  set -a
  # shellcheck disable=SC1091
  . ./.env
  set +a
}

is_root() { [ "$(id -u)" = 0 ]; }
as_admin() { if is_root; then "$@"; else sudo "$@"; fi; }
become() { local user=$1; shift; setpriv --reuid="$user" --regid="$user" --init-groups env HOME=/tmp "$@"; }
can_pass() { become "$1" test -x "$2" -a -r "$2/artisan" 2>/dev/null; }

# As root nothing of ours runs as root, as long as the lesser users can get into this folder.
run_user() {
  if ! is_root; then id -un; elif can_pass www-data "$ROOT"; then echo www-data; else echo root; fi
}
as_run() {
  if is_root && [ "$RUN_USER" != root ]; then become "$RUN_USER" "$@"; else "$@"; fi
}
as_db() { if is_root; then become postgres "$@"; else "$@"; fi; }

# PostgreSQL refuses root, so as root its folder must be one that the user postgres can reach.
data_folder() {
  local dir=${ACRE_VAR:-var}
  [[ $dir = /* ]] || dir=$ROOT/$dir
  mkdir -p "$dir"
  if is_root && ! become postgres test -x "$dir" 2>/dev/null; then
    dir=/var/lib/acre-roll-$(printf %s "$ROOT" | cksum | cut -d' ' -f1)
    mkdir -p "$dir"
  fi
  echo "$dir"
}

artisan() { as_run php artisan "$@"; }
# Free at an address of this machine; name servers listen on others than 127.0.0.1.
free_port() {
  # Beside those that the system deals out by itself, so that no connection has taken it by the time it is listened at.
  php -r 'do { $s = @stream_socket_server("tcp://{$argv[1]}:".random_int(20000, 32000)); } while (! $s);
    echo explode(":", stream_socket_get_name($s, false))[1];' "${1:-127.0.0.1}"
}
answers() { (exec 3<>"/dev/tcp/$1/$2") 2>/dev/null; }
