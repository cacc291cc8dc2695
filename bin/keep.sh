#!/usr/bin/env bash
# Runs a server whose parent and children share a socket, so that nothing of it outlives its parent: children left
# behind by a killed parent would hold the socket, and the supervisor's next start would fail. bin/keep.sh FILE COMMAND…
set -u
file=$1; shift
# Supervisor makes this script the leader of a group; php-fpm makes one of its own.
end_groups() { pkill -KILL -g "$1" -f 'php-fpm: |nginx: ' 2>/dev/null; }

if [ -s "$file" ]; then end_groups "$(cat "$file")"; fi
"$@" &
child=$!
echo "$$,$child" > "$file"
trap 'kill -TERM $child 2>/dev/null' TERM INT QUIT
wait $child
code=$?
# A second wait, when the first was cut short by a signal to us.
wait $child 2>/dev/null
end_groups "$$,$child"
exit $code
