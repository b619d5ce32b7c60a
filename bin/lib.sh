# Shared by bin/start and bin/test: sets up what a fresh machine lacks, and runs the private database.

root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root"
# What is made here, sessions and keys among it, is nobody else's on this machine.
umask 077
mkdir -p var

# JIT and a compiled-code cache make the diagnosis several times faster.
php_fast=(-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M -d opcache.jit_max_root_traces=8192 -d opcache.jit_max_side_traces=8192 -d opcache.jit_max_exit_counters=65536 -d opcache.jit_hot_loop=16 -d opcache.jit_hot_func=32 -d opcache.jit_hot_return=4 -d opcache.jit_hot_side_exit=4 -d opcache.memory_consumption=192)

settings=${ISPIRA_SETTINGS:-$root/.env}
command_line=("$0" "$@")

# setting NAME: from the environment, else from the settings of this installation.
setting() {
    if [ -n "${!1+set}" ]; then printf '%s' "${!1}"; return; fi
    [ ! -f "$settings" ] || sed -n "s/^$1=//p" "$settings" | tail -n 1 | sed -E 's/^"(.*)"$/\1/'
}

# as_its_user: an installation whose database knows its user by the socket lets nobody else in, not even root.
as_its_user() {
    local user
    user=$(setting DB_USERNAME)
    [ -z "$(setting DB_SOCKET)" ] || [ -n "$(setting DB_PASSWORD)" ] || [ "$(id -un)" = "$user" ] ||
        fail "Run it as $user, whom alone the database lets in: runuser -u $user -- ${command_line[*]}"
}

# What nobody can guess: a password of the database, a key of the application.
new_password() { head -c 24 /dev/urandom | base64 | tr -dc 'a-zA-Z0-9'; }
new_key() { printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)"; }

# The folder of photos and captures.
files_folder() {
    local folder; folder=$(setting ISPIRA_FILES)
    case $folder in '') printf '%s' "$root/storage/app" ;; /*) printf '%s' "$folder" ;; *) printf '%s' "$root/$folder" ;; esac
}

# Settings for a client of the database, so that its password stands on no command line.
database_defaults() {
    local socket; socket=$(setting DB_SOCKET)
    printf '[client]\nuser="%s"\npassword="%s"\n' "$(setting DB_USERNAME)" "$(setting DB_PASSWORD)"
    if [ -n "$socket" ]; then printf 'socket="%s"\n' "$socket"
    else printf 'host="%s"\nport=%s\n' "$(setting DB_HOST)" "$(setting DB_PORT)"
    fi
}

say() { printf '%s\n' "$*"; }
fail() { printf '%s\n' "$*" >&2; exit 1; }

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"
    elif command -v sudo >/dev/null; then sudo "$@"
    else fail "Debian packages are missing and neither root nor sudo is at hand: install them first: $*"
    fi
}

install_packages() {
    local missing=() package
    for package in "$@"; do
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
    done
    [ "${#missing[@]}" = 0 ] && return
    say "Installing Debian packages: ${missing[*]}"
    as_root env DEBIAN_FRONTEND=noninteractive apt-get update -q >var/apt.log 2>&1 || fail "apt-get update failed, see var/apt.log"
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends "${missing[@]}" >>var/apt.log 2>&1 || fail "apt-get install failed, see var/apt.log"
}

# Runs a command when the files it depends on have changed since it last succeeded.
when_changed() {
    local name=$1 files=$2 now
    shift 2
    now=$(find $files -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum)
    [ -f "var/$name.done" ] && [ "$(cat "var/$name.done")" = "$now" ] && return
    say "Running: $*"
    "$@" >"var/$name.log" 2>&1 || { tail -n 30 "var/$name.log" >&2; fail "\"$*\" failed, see var/$name.log"; }
    printf '%s' "$now" >"var/$name.done"
}

base_packages=(mariadb-server php8.2-cli php8.2-mysql php8.2-mbstring php8.2-xml php8.2-intl php8.2-curl php8.2-zip php8.2-gd php8.2-bcmath)

set_up() {
    command -v node >/dev/null || fail "Node.js 20 is needed: install it and run this again."
    command -v composer >/dev/null || fail "Composer is needed: install it and run this again."
    [ -f vendor/autoload.php ] || rm -f var/composer.done
    [ -d node_modules ] || rm -f var/npm.done
    [ -f public/build/manifest.json ] || rm -f var/build.done
    # What Node.js needs comes beside what PHP needs.
    when_changed npm package-lock.json npm ci &
    local npm=$!
    install_packages "${base_packages[@]}" "$@"
    when_changed composer composer.json env COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress
    wait "$npm" || exit 1
    when_changed build "resources core bin/device-core.php composer.json package-lock.json vite.config.ts tsconfig.json" npm run build
}

# database_folder FOLDER PORT: where the socket of a server of our own stands.
database_folder() {
    database_socket="$1/server.sock"
    [ "${#database_socket}" -lt 100 ] || database_socket="/tmp/ispira-$(id -u)-$2.sock"
}

# start_database FOLDER PORT [OPTION...]: a MariaDB server of our own on loopback, data in FOLDER.
start_database() {
    local folder=$1 port=$2
    shift 2
    database_folder "$folder" "$port"
    mkdir -p "$folder"
    chmod 700 "$folder"
    if [ ! -d "$folder/data/mysql" ]; then
        mkdir -p "$folder/data" "$folder/tmp"
        mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$folder/data" --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db --skip-name-resolve >"$folder/install.log" 2>&1 || fail "The database could not be made, see $folder/install.log"
    fi
    mariadbd --no-defaults --user="$(id -un)" --datadir="$folder/data" --bind-address=127.0.0.1 --port="$port" --socket="$database_socket" --pid-file="$folder/server.pid" --log-error="$folder/server.log" --tmpdir="$folder/tmp" --innodb-flush-log-at-trx-commit=1 --innodb-doublewrite=1 --innodb-buffer-pool-size=256M --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --skip-name-resolve "$@" </dev/null >/dev/null 2>&1 9>&- &
    database_pid=$!
    local tries
    for tries in $(seq 100); do
        mariadb-admin --no-defaults --socket="$database_socket" -u"$(id -un)" ping >/dev/null 2>&1 && { secure_database; return; }
        sleep 0.2
    done
    fail "The database did not start, see $folder/server.log"
}

stop_database() {
    [ -n "${database_socket:-}" ] && mariadb-admin --no-defaults --socket="$database_socket" -u"$(id -un)" shutdown >/dev/null 2>&1
}

administrate() { mariadb --no-defaults --socket="$database_socket" -u"$(id -un)" "$@"; }

# Only who owns the server's socket administers it, and nobody over the network: also where it was made otherwise.
secure_database() {
    local me; me=$(id -un)
    administrate -e 'SELECT 1' >/dev/null 2>&1 || mariadb --no-defaults --socket="$database_socket" -uroot -e \
        "CREATE USER IF NOT EXISTS '$me'@'localhost' IDENTIFIED VIA unix_socket; GRANT ALL ON *.* TO '$me'@'localhost' WITH GRANT OPTION"
    administrate <<SQL
ALTER USER '$me'@'localhost' IDENTIFIED VIA unix_socket;
DROP USER IF EXISTS 'root'@'127.0.0.1', 'root'@'::1', 'root'@'$(hostname)';
$([ "$me" = root ] || printf "DROP USER IF EXISTS 'root'@'localhost';")
SQL
}

# make_database NAME USER PASSWORD
make_database() {
    administrate <<SQL
CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS '$2'@'127.0.0.1' IDENTIFIED BY '$3';
ALTER USER '$2'@'127.0.0.1' IDENTIFIED BY '$3';
GRANT ALL ON \`$1\`.* TO '$2'@'127.0.0.1';
SQL
}

# serve PORT: the application on loopback with four workers, in a process group of its own.
serve() {
    ( cd public && PHP_CLI_SERVER_WORKERS=4 exec setsid php "${php_fast[@]}" -d expose_php=0 -d upload_max_filesize=512M -d post_max_size=520M -d memory_limit=256M -d max_execution_time=300 -S "127.0.0.1:$1" ../bin/serve.php ) >>"var/server-$1.log" 2>&1 </dev/null 9>&- &
    server_pid=$!
    printf '%s' "$server_pid" >"var/server-$1.pid"
    local tries
    for tries in $(seq 100); do
        curl -s -o /dev/null "http://127.0.0.1:$1/sign-in" && return
        kill -0 "$server_pid" 2>/dev/null || fail "The server did not start: is port $1 taken? See var/server-$1.log"
        sleep 0.1
    done
    fail "The server does not answer, see var/server-$1.log"
}

stop_server() {
    [ -n "${server_pid:-}" ] || return 0
    kill -- "-$server_pid" 2>/dev/null || kill "$server_pid" 2>/dev/null
    wait "$server_pid" 2>/dev/null
    server_pid=
}

# clear_leftovers PORT: ends what a start that was killed has left behind.
clear_leftovers() {
    local pid tries
    pid=$(cat "var/server-$1.pid" 2>/dev/null || true)
    # The number may be another process's by now: only one that serves this folder is ended.
    if [ -n "$pid" ] && [ "$(readlink "/proc/$pid/cwd")" = "$root/public" ]; then
        say 'Ending a server that was left running.'
        kill -KILL -- "-$pid" 2>/dev/null || true
    fi
    rm -f "var/server-$1.pid"
    pid=$(cat "$root/var/mariadb/server.pid" 2>/dev/null || true)
    [ -n "$pid" ] && [ "$(readlink "/proc/$pid/cwd")" = "$root/var/mariadb/data" ] || return 0
    say 'Ending a database that was left running.'
    kill "$pid" 2>/dev/null || true
    for tries in $(seq 150); do
        [ -d "/proc/$pid" ] || return 0
        sleep 0.2
    done
    kill -KILL "$pid" 2>/dev/null || true
}

# The database of this installation, where it is a private one: started when it does not run. Says in database_ours
# whether it was started here.
private_database() {
    [ "$(setting DB_PRIVATE)" = true ] || return 0
    database_folder "$root/var/mariadb" "$(setting DB_PORT)"
    database_ours=
    mariadb-admin --no-defaults --socket="$database_socket" -u"$(id -un)" ping >/dev/null 2>&1 ||
        { start_database "$root/var/mariadb" "$(setting DB_PORT)"; database_ours=1; }
    make_database "$(setting DB_DATABASE)" "$(setting DB_USERNAME)" "$(setting DB_PASSWORD)"
}
