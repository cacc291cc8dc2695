# Settings, words and who runs what; sourced by ./acre.

say() { printf '%s\n' "$*"; }
step() { printf '· %s\n' "$*"; }
die() { printf 'acre: %s\n' "$*" >&2; exit 1; }

secret() { head -c 32 /dev/urandom | od -An -tx1 | tr -d ' \n'; }

load_settings() {
  if [ ! -f .env ]; then
    cp .env.example .env
    chmod 600 .env
    sed -i "s|^APP_KEY=$|APP_KEY=base64:$(head -c 32 /dev/urandom | base64)|" .env
    for key in WORLD_KEY DB_ADMIN_PASSWORD DB_OWNER_PASSWORD DB_PASSWORD; do sed -i "s|^$key=$|$key=$(secret)|" .env; done
  fi
  # Settings of a house that began before the world outside was there.
  grep -q '^WORLD_KEY=' .env || echo "WORLD_KEY=$(secret)" >> .env
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
free_port() { php -r '$s = stream_socket_server("tcp://{$argv[1]}:0"); echo explode(":", stream_socket_get_name($s, false))[1];' "${1:-127.0.0.1}"; }
answers() { (exec 3<>"/dev/tcp/$1/$2") 2>/dev/null; }
