# The pieces of bin/cluster.

folder="$root/var/cluster"
# Below the ports that the machine gives to connections of its own: one of them may hold any of those.
cluster_http=13100
cluster_database=13060

# Nodes of the database run as the user of Debian's server where this is root: the transfer between them wants it.
node_user() { [ "$(id -u)" = 0 ] && printf mysql || id -un; }
as_node_user() { if [ "$(id -u)" = 0 ]; then setpriv --reuid=mysql --regid=mysql --init-groups "$@"; else "$@"; fi; }
node_admin() { as_node_user mariadb --no-defaults --socket="$folder/n$1/server.sock" -u"$(node_user)" -N "${@:2}"; }
node_alive() { [ -f "$folder/n$1/server.pid" ] && kill -0 "$(cat "$folder/n$1/server.pid")" 2>/dev/null; }
node_state() { node_admin "$1" -e "SHOW STATUS LIKE 'wsrep_local_state_comment'" 2>/dev/null | cut -f 2; }

node_files() {
    local n=$1 members=127.0.0.1:13071,127.0.0.1:13072,127.0.0.1:13073
    mkdir -p "$folder/n$n/data" "$folder/n$n/tmp"
    sed -e "s|@USER@|$(node_user)|" -e "s|@FOLDER@|$folder/n$n|" -e "s|@PORT@|1306$n|" -e "s|@MEMBERS@|$members|" \
        -e "s|@N@|$n|g" -e "s|@BASE@|1307$n|g" -e "s|@SST@|1309$n|" -e "s|@IST@|1308$n|" deploy/node.cnf >"$folder/n$n/node.cnf"
    [ "$(id -u)" != 0 ] || chown -R mysql:mysql "$folder/n$n"
}

# node_start N [ARGUMENT...]: begins; it may take a while until it is synchronised.
node_start() {
    local n=$1 position=
    shift
    # Where it was is read from its own log: without it every start would be a transfer of everything.
    if [ -f "$folder/n$n/data/grastate.dat" ] && [ $# = 0 ]; then
        as_node_user mariadbd --defaults-file="$folder/n$n/node.cnf" --skip-networking --log-error="$folder/n$n/recover.log" --wsrep-recover >/dev/null 2>&1 || true
        position=$(sed -n 's/.*WSREP: Recovered position: *//p' "$folder/n$n/recover.log" | tail -n 1)
        rm -f "$folder/n$n/recover.log"
    fi
    # A transfer that was cut off leaves its own daemon and files behind, which the next one trips over.
    local left
    for left in "$folder/n$n/data/rsync_sst.pid" "$folder/n$n/data/wsrep_sst.pid"; do
        [ ! -f "$left" ] || { kill -KILL "$(cat "$left")" 2>/dev/null || true; rm -f "$left"; }
    done
    rm -f "$folder/n$n/server.pid"
    as_node_user setsid mariadbd --defaults-file="$folder/n$n/node.cnf" ${position:+--wsrep-start-position="$position"} "$@" </dev/null >/dev/null 2>&1 9>&- 8>&- &
    node_pid[n]=$!
    disown
}

# node_wait N: until it is synchronised; one that ended meanwhile is started again, as systemd would.
node_pid=()
node_wait() {
    local tries again=0
    for tries in $(seq 900); do
        [ "$(node_state "$1")" = Synced ] && return
        if [ -n "${node_pid[$1]:-}" ] && ! kill -0 "${node_pid[$1]}" 2>/dev/null; then
            again=$((again + 1))
            [ "$again" -le 3 ] || break
            sleep 1
            node_start "$1"
        fi
        sleep 0.1
    done
    fail "Node $1 of the database does not come: see $folder/n$1/server.log"
}

# The node that may begin the cluster: the only one at first, else the one that got furthest.
furthest_node() {
    local n best=1 seqno most=-2
    for n in 1 2 3; do
        grep -q 'safe_to_bootstrap: 1' "$folder/n$n/data/grastate.dat" 2>/dev/null && { printf %s "$n"; return; }
    done
    for n in 1 2 3; do
        [ -f "$folder/n$n/data/grastate.dat" ] || continue
        as_node_user mariadbd --defaults-file="$folder/n$n/node.cnf" --skip-networking --log-error="$folder/n$n/recover.log" --wsrep-recover >/dev/null 2>&1 || true
        seqno=$(sed -n 's/.*WSREP: Recovered position: .*:\(-\?[0-9]*\).*/\1/p' "$folder/n$n/recover.log" | tail -n 1)
        [ "${seqno:--1}" -le "$most" ] || { most=$seqno; best=$n; }
    done
    [ ! -f "$folder/n$best/data/grastate.dat" ] || sed -i 's/safe_to_bootstrap: 0/safe_to_bootstrap: 1/' "$folder/n$best/data/grastate.dat"
    printf %s "$best"
}

php_node() { local a=$1; shift; (cd "$root" && node_environment "$a" php "$@"); }

# node_environment A COMMAND...: with the settings of an application node.
node_environment() {
    local a=$1
    shift
    # shellcheck disable=SC2046
    env $(sed 's/ = /=/' "$folder/a$a/environment") "$@"
}

application_files() {
    local a=$1 place part
    place="$folder/a$a"
    # What was kept for other settings must not be read.
    rm -rf "$place/cache"
    mkdir -p "$place/tmp" "$place/cache" "$folder/files/private" "$folder/files/captures"
    for part in framework/cache/data framework/cache/predictions framework/views logs; do mkdir -p "$place/storage/$part"; done
    cat >"$place/environment" <<SETTINGS
APP_NAME=Ispira
APP_ENV=production
APP_KEY=$(cat "$folder/key")
APP_DEBUG=false
APP_URL=http://127.0.0.1:$cluster_http
LOG_CHANNEL=json
LOG_LEVEL=warning
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_PORT=$cluster_database
DB_DATABASE=ispira
DB_USERNAME=ispira
DB_PASSWORD=$(cat "$folder/password")
SESSION_DRIVER=database
CACHE_STORE=database
MAIL_MAILER=log
ISPIRA_DEMO=true
ISPIRA_FILES=$folder/files
LARAVEL_STORAGE_PATH=$place/storage
APP_CONFIG_CACHE=$place/cache/config.php
APP_ROUTES_CACHE=$place/cache/routes.php
APP_EVENTS_CACHE=$place/cache/events.php
PHP_INI_SCAN_DIR=:$folder/php
SETTINGS
    sed -e "s|@RUN@|$place|g" -e "s|@LOGS@|$place|g" -e "s|@SOCKET@|$place/fpm.sock|g" -e "s|@TEMP@|$place/tmp|g" -e 's|@WORKERS@|6|' \
        -e "s|@OWNER@|$([ "$(id -u)" != 0 ] || printf 'user = root\\ngroup = root')|" deploy/fpm.conf >"$place/fpm.conf"
    sed 's/^\([A-Z_]*\)=\(.*\)$/env[\1] = "\2"/' "$place/environment" >>"$place/fpm.conf"
}

application_start() {
    local a=$1 place="$folder/a$1"
    [ ! -f "$place/fpm.pid" ] || kill -KILL -- "-$(cat "$place/fpm.pid")" 2>/dev/null || true
    rm -f "$place/fpm.pid" "$place/fpm.sock"
    PHP_INI_SCAN_DIR=":$folder/php" setsid php-fpm8.2 --nodaemonize --allow-to-run-as-root --fpm-config "$place/fpm.conf" </dev/null >/dev/null 2>&1 9>&- 8>&- &
    disown
    local tries
    for tries in $(seq 100); do [ -S "$place/fpm.sock" ] && return; sleep 0.1; done
    fail "Application node $a does not come: see $place/fpm.log"
}

cluster_start() {
    set_up curl rsync galera-4 haproxy nginx php8.2-fpm
    mkdir -p "$folder/php"
    [ -f "$folder/key" ] || new_key >"$folder/key"
    [ -f "$folder/password" ] || new_password >"$folder/password"
    # Another user runs the nodes of the database: it has to reach their folders, and nothing else here.
    chmod 711 "$root/var" "$folder"
    install -m 644 deploy/php.ini "$folder/php/90-ispira.ini"
    chmod 755 "$folder/php"
    local n a first fresh=
    for n in 1 2 3; do node_files "$n"; done
    if [ ! -d "$folder/n1/data/mysql" ]; then
        fresh=1
        as_node_user mariadb-install-db --no-defaults --user="$(node_user)" --datadir="$folder/n1/data" --auth-root-authentication-method=socket \
            --auth-root-socket-user="$(node_user)" --skip-test-db --skip-name-resolve >"$folder/install.log" 2>&1 || fail "See $folder/install.log"
    fi
    if ! node_alive 1 && ! node_alive 2 && ! node_alive 3; then
        first=$(furthest_node)
        say "Starting node $first of the database."
        node_start "$first" --wsrep-new-cluster
        node_wait "$first"
    fi
    for n in 1 2 3; do
        node_alive "$n" && continue
        say "Starting node $n of the database."
        node_start "$n"
        node_wait "$n"
    done
    node_admin 1 <<SQL
CREATE DATABASE IF NOT EXISTS ispira CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'ispira'@'127.0.0.1' IDENTIFIED BY '$(cat "$folder/password")';
GRANT ALL ON ispira.* TO 'ispira'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'check'@'127.0.0.1' IDENTIFIED BY '$(cat "$folder/password")';
SQL
    proxy_start
    for a in 1 2; do application_files "$a"; done
    [ -z "$fresh" ] || { php_node 1 artisan migrate --force --quiet; say 'Filling it with the demo.'; php_node 1 artisan db:seed --force --quiet; }
    [ -n "$fresh" ] || php_node 1 artisan migrate --force --quiet
    for a in 1 2; do
        php_node "$a" artisan config:cache --quiet
        php_node "$a" artisan route:cache --quiet
        application_start "$a"
    done
    front_start
}

proxy_start() {
    [ ! -f "$folder/haproxy.pid" ] || ! kill -0 "$(cat "$folder/haproxy.pid")" 2>/dev/null || return 0
    printf '[client]\nuser=check\npassword="%s"\n' "$(cat "$folder/password")" >"$folder/check.cnf"
    sed "s|@DEFAULTS@|$folder/check.cnf|" deploy/check-node >"$folder/check-node"
    chmod 700 "$folder/check-node"
    sed -e "s|@BIND@|127.0.0.1:$cluster_database|" -e "s|@CHECK@|$folder/check-node|" -e 's|@N1@|127.0.0.1:13061|' \
        -e 's|@N2@|127.0.0.1:13062|' -e 's|@N3@|127.0.0.1:13063|' deploy/haproxy.cfg >"$folder/haproxy.cfg"
    haproxy -D -p "$folder/haproxy.pid" -f "$folder/haproxy.cfg" >"$folder/haproxy.log" 2>&1 9>&- || fail "See $folder/haproxy.log"
    local tries
    for tries in $(seq 100); do
        mariadb --defaults-file="$folder/check.cnf" --host=127.0.0.1 --port="$cluster_database" -e 'SELECT 1' >/dev/null 2>&1 && return
        sleep 0.2
    done
    fail "haproxy finds no node that may be written to."
}

front_start() {
    [ ! -f "$folder/nginx.pid" ] || ! kill -0 "$(cat "$folder/nginx.pid")" 2>/dev/null || return 0
    sed -e "s|@FOLDER@|$folder|g" -e "s|@ROOT@|$root|g" -e "s|@HTTP@|$cluster_http|g" \
        -e "s|@RUNUSER@|$([ "$(id -u)" != 0 ] || printf 'user root;')|" deploy/cluster-nginx.conf >"$folder/nginx.conf"
    nginx -c "$folder/nginx.conf" >"$folder/nginx.log" 2>&1 9>&- || fail "See $folder/nginx.log"
    curl -s -o /dev/null --retry 20 --retry-connrefused --retry-delay 1 "http://127.0.0.1:$cluster_http/health"
}

# ended FILE [SIGNAL]: ends the process whose number stands in a file, and waits for it.
ended() {
    local pid tries
    pid=$(cat "$1" 2>/dev/null || true)
    [ -n "$pid" ] || return 0
    kill "-${2:-TERM}" "$pid" 2>/dev/null || true
    for tries in $(seq 200); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
    kill -KILL "$pid" 2>/dev/null || true
}

cluster_stop() {
    ended "$folder/nginx.pid"
    local a n
    for a in 1 2; do
        [ ! -f "$folder/a$a/fpm.pid" ] || kill -KILL -- "-$(cat "$folder/a$a/fpm.pid")" 2>/dev/null || true
        rm -f "$folder/a$a/fpm.pid"
    done
    ended "$folder/haproxy.pid"
    # The writer goes last: what it has the others have.
    for n in 3 2 1; do ended "$folder/n$n/server.pid"; done
    say 'Stopped.'
}

cluster_status() {
    local n a
    for n in 1 2 3; do say "database node $n: $(node_state "$n" || true)"; done
    for a in 1 2; do say "application node $a: $([ -f "$folder/a$a/fpm.pid" ] && kill -0 "$(cat "$folder/a$a/fpm.pid")" 2>/dev/null && printf runs || printf 'does not run')"; done
    curl -s "http://127.0.0.1:$cluster_http/health" || say 'nothing answers in front'
    say ''
}

# cluster_torture KILLS: kills nodes at random under load, one at a time, waits until each is back, and counts.
cluster_torture() {
    local kills=$1 kill victim at n victims=(n1 n2 n3 a1 a2) ran
    cluster_start
    begin_load "http://127.0.0.1:$cluster_http" "$folder"
    for kill in $(seq "$kills"); do
        victim=${victims[$((RANDOM % ${#victims[@]}))]}
        at=$(date -u +%T)
        case $victim in
            n*) n=${victim#n}
                kill -KILL "$(cat "$folder/n$n/server.pid")"
                # systemd lets five seconds pass: who comes back before the others have missed it upsets them all.
                ran=$((RANDOM % 20)); sleep "$((ran / 10 + 4)).$((ran % 10))"
                node_start "$n"
                node_wait "$n" ;;
            a*) kill -KILL -- "-$(cat "$folder/$victim/fpm.pid")"
                ran=$((RANDOM % 10)); sleep "0.$ran"
                application_start "${victim#a}" ;;
        esac
        sleep 1
        printf '%s at %s, ' "$victim" "$at"
    done
    say ''
    end_load
    for n in 1 2 3; do
        [ "$(node_state "$n")" = Synced ] || node_wait "$n"
        say "Node $n:"
        count_acknowledged "$folder" node_admin "$n" ispira
    done
    say 'The model still runs: bin/cluster stop ends it.'
}
