# Shared by the commands in bin/: what a machine needs, our own database, ports, clean endings.
# Sourced, never run. Sets TOP and HARBOR (the folder all generated things live in).

TOP=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
HARBOR="$TOP/.harbor"
mkdir -p "$HARBOR"
cd "$TOP"

say() { printf '%s\n' "$*" >&2; }
fail() { printf '\nStopped: %s\n' "$*" >&2; exit 1; }

# --- what the machine must have --------------------------------------------------------------------

# What must be there, each with the Debian package that brings it. Only what is missing is asked for:
# a machine with Node from elsewhere cannot take Debian's npm as well.
COMMANDS=(php:php-cli composer:composer node:nodejs npm:npm mariadbd:mariadb-server mariadb-install-db:mariadb-server mariadb-dump:mariadb-client
    nginx:nginx pandoc:pandoc pdftotext:poppler-utils qpdf:qpdf zip:zip pgrep:procps
    bwrap:bubblewrap tesseract:tesseract-ocr cjpeg:libjpeg-turbo-progs)
EXTENSIONS=(mbstring:php-mbstring dom:php-xml intl:php-intl pdo_mysql:php-mysql zip:php-zip
    gd:php-gd curl:php-curl bcmath:php-bcmath pcntl:php-cli)

missing_things() { # missing_things [browser]: lines "thing<TAB>package"
    local pair commands have=""
    commands=("${COMMANDS[@]}")
    [ "${1:-}" != browser ] || commands+=(chromium-headless-shell:chromium-headless-shell)
    for pair in "${commands[@]}"; do
        PATH="$PATH:/usr/sbin" command -v "${pair%%:*}" >/dev/null 2>&1 || printf '%s\t%s\n' "${pair%%:*}" "${pair##*:}"
    done
    [ -e /etc/ssl/certs/ca-certificates.crt ] || printf 'certificates\tca-certificates\n'
    ! command -v php >/dev/null 2>&1 || have=$(php -m)
    for pair in "${EXTENSIONS[@]}"; do
        grep -qix "${pair%%:*}" <<<"$have" || printf 'php extension %s\t%s\n' "${pair%%:*}" "${pair##*:}"
    done
}

named() { cut -f1 | paste -sd, | sed 's/,/, /g'; }

need_machine() { # need_machine [browser]
    local missing packages
    missing=$(missing_things "${1:-}" | named)
    [ -n "$missing" ] || return 0
    mapfile -t packages < <(missing_things "${1:-}" | cut -f2 | sort -u)
    if [ "$(id -u)" != 0 ] || ! command -v apt-get >/dev/null 2>&1; then
        fail "this machine lacks: $missing.
Install them as root, then run this command again:
    apt-get update && apt-get install --no-install-recommends ${packages[*]}"
    fi
    say "Installing what is missing ($missing) from Debian's packages ..."
    {
        apt-get update -qq &&
            DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${packages[@]}"
    } >"$HARBOR/apt.log" 2>&1 || fail "Debian's packages could not be installed; the last lines of $HARBOR/apt.log:
$(tail -5 "$HARBOR/apt.log")"
    missing=$(missing_things "${1:-}" | named)
    [ -z "$missing" ] || fail "still missing after installing: $missing"
}

node_is_new_enough() { node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' 2>/dev/null; }

need_node() { # the build needs Node 20.19: a newer one goes into our own folder, the machine's stays as it is
    local arch bin
    case "$(uname -m)" in aarch64) arch=arm64 ;; *) arch=x64 ;; esac
    bin="$HARBOR/node/node_modules/node-linux-$arch/bin"
    [ ! -x "$bin/node" ] || export PATH="$bin:$PATH"
    node_is_new_enough && return 0
    say "Node $(node --version) is too old for the build; fetching a newer one into .harbor/node ..."
    mkdir -p "$HARBOR/node"
    npm install --prefix "$HARBOR/node" --ignore-scripts --no-audit --no-fund --loglevel=error "node-linux-$arch@^22" >"$HARBOR/node.log" 2>&1 ||
        fail "could not fetch Node; see $HARBOR/node.log"
    export PATH="$bin:$PATH"
    hash -r
    node_is_new_enough || fail "Node is still too old: $(node --version)"
}

# Runs a step only when what it depends on has changed since it last succeeded.
once_for() { # once_for NAME DIGEST command...
    local stamp="$HARBOR/stamps/$1" digest="$2"
    shift 2
    [ "$(cat "$stamp" 2>/dev/null)" != "$digest" ] || return 0
    "$@" || return 1
    mkdir -p "$HARBOR/stamps"
    printf '%s' "$digest" >"$stamp"
}

digest_of() { find "$@" -type f -print0 2>/dev/null | sort -z | xargs -0 -r sha256sum | sha256sum | cut -c1-32; }

# --- ports and processes ---------------------------------------------------------------------------

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # free_port FROM: the first free port from there on
    local port
    for ((port = $1; port < $1 + 200; port++)); do
        port_taken "$port" || { echo "$port"; return 0; }
    done
    return 1
}

CHILDREN=()

# Runs a command in a process group of its own, without our locks, its output in a file. It ends with us; PIDS, a file,
# remembers it for the next run in case we are killed before we can end it.
in_background() { # in_background LOG command...     with KEEP, a file for notices, what ends is started again
    local log="$1" kept=()
    shift
    [ -z "${KEEP:-}" ] || kept=("$TOP/bin/lib/keep.sh" "$KEEP" "$(basename "$log" .log)")
    setsid "${kept[@]}" "$@" >"$log" 2>&1 </dev/null 7>&- 8>&- 9>&- &
    CHILDREN+=($!)
    [ -z "${PIDS:-}" ] || echo $! >>"$PIDS"
}

end_group() { # end_group PID: asks it to end, waits, then insists
    kill -TERM -- "-$1" 2>/dev/null
    local _
    for _ in $(seq 1 100); do
        kill -0 -- "-$1" 2>/dev/null || return 0
        sleep 0.1
    done
    kill -KILL -- "-$1" 2>/dev/null
}

end_children() {
    set +e
    trap - EXIT INT TERM HUP
    local i
    for ((i = ${#CHILDREN[@]} - 1; i >= 0; i--)); do
        end_group "${CHILDREN[$i]}"
    done
    [ -z "${PIDS:-}" ] || rm -f "$PIDS"
    return 0
}

end_leftovers() { # what an earlier run that was killed left behind, if it is really ours
    local pid
    [ -f "$PIDS" ] || return 0
    while read -r pid; do
        if [[ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$TOP"* ]] || grep -qaF -- "$HARBOR" "/proc/$pid/cmdline" 2>/dev/null; then
            say "Ending a process left behind by an earlier run ($pid) ..."
            end_group "$pid" || true
        fi
    done <"$PIDS"
    rm -f "$PIDS"
}

wait_for_port() { # wait_for_port PORT SECONDS WHAT
    local tries=$(($2 * 10))
    while ((tries-- > 0)); do
        port_taken "$1" && return 0
        sleep 0.1
    done
    fail "$3 did not answer on port $1 within $2 seconds"
}

# --- the database: MariaDB in a folder of ours, on loopback ----------------------------------------

database_start() { # database_start FOLDER FIRST_PORT: sets DB_* for the application
    local folder="$1" port as_root=()
    local mariadbd=mariadbd
    PATH="$PATH:/usr/sbin"
    [ "$(id -u)" != 0 ] || as_root=(--user=root)
    mkdir -p "$folder"
    rm -f "$folder/pid" "$folder/socket"
    if [ ! -f "$folder/made" ]; then # nothing there, or a set-up that never finished
        rm -rf "$folder/data"
        mariadb-install-db --no-defaults "${as_root[@]}" --datadir="$folder/data" --auth-root-authentication-method=normal --force \
            --skip-test-db >"$folder/install.log" 2>&1 || fail "the database could not be set up; see $folder/install.log"
        touch "$folder/made"
    fi
    port=$(free_port "$2") || fail "no free port for the database from $2 on"
    in_background "$folder/server.log" "$mariadbd" --no-defaults "${as_root[@]}" --datadir="$folder/data" --bind-address=127.0.0.1 --port="$port" \
        --socket="$folder/socket" --pid-file="$folder/pid" --character-set-server=utf8mb4 \
        --collation-server=utf8mb4_unicode_ci --max-connections=80 --innodb-buffer-pool-size="${DB_POOL:-256M}" \
        --innodb-flush-log-at-trx-commit="${DB_FLUSH:-1}" --max-allowed-packet=64M \
        --skip-name-resolve --default-time-zone=+00:00
    wait_for_port "$port" 60 "the database (its log is $folder/server.log)"
    export DB_CONNECTION=mariadb DB_HOST=127.0.0.1 DB_PORT="$port" DB_USERNAME=root DB_PASSWORD=
}

database_make() { # database_make NAME
    php -r '$p = new PDO("mysql:host=127.0.0.1;port=".$argv[1], "root", ""); $p->exec("CREATE DATABASE IF NOT EXISTS `".$argv[2]."` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");' \
        "$DB_PORT" "$1" || fail "the database $1 could not be made"
}

database_drop() { # database_drop NAME
    php -r '$p = new PDO("mysql:host=127.0.0.1;port=".$argv[1], "root", ""); $p->exec("DROP DATABASE IF EXISTS `".$argv[2]."`");' \
        "$DB_PORT" "$1" || fail "the database $1 could not be dropped"
}

# --- the application's processes -------------------------------------------------------------------

open_web_start() { # open_web_start LOG_FOLDER: the simulated open web, which screening asks
    local port
    port=$(free_port 2710) || fail "no free port for the simulated open web"
    mkdir -p "$1"
    in_background "$1/open-web.log" env PHP_CLI_SERVER_WORKERS=2 php -d opcache.enable_cli=1 -S "127.0.0.1:$port" services/open-web/index.php
    wait_for_port "$port" 20 "the simulated open web"
    export HARBOR_WEB_SEARCH="http://127.0.0.1:$port/search"
    php -r 'file_get_contents($argv[1]);' "http://127.0.0.1:$port/behave?as=well"
}

detector_start() { # detector_start LOG_FOLDER: the simulated outside detector
    local port
    port=$(free_port 2740) || fail "no free port for the simulated detector"
    mkdir -p "$1"
    in_background "$1/detector.log" env PHP_CLI_SERVER_WORKERS=2 php -S "127.0.0.1:$port" services/detector/index.php
    wait_for_port "$port" 20 "the simulated detector"
    export HARBOR_DETECTOR="http://127.0.0.1:$port/judge"
    php -r 'file_get_contents($argv[1]);' "http://127.0.0.1:$port/behave?as=well"
}

assistant_start() { # assistant_start LOG_FOLDER: the simulated outside writing assistant
    local port
    port=$(free_port 2770) || fail "no free port for the simulated writing assistant"
    mkdir -p "$1"
    in_background "$1/assistant.log" env PHP_CLI_SERVER_WORKERS=2 php -S "127.0.0.1:$port" services/assistant/index.php
    wait_for_port "$port" 20 "the simulated writing assistant"
    export HARBOR_ASSISTANT="http://127.0.0.1:$port/remarks"
    php -r 'file_get_contents($argv[1]);' "http://127.0.0.1:$port/behave?as=well"
}

# The web server in front: it takes every request at once, says when it arrived, and holds it until PHP is free.
front_start() { # front_start PORT INNER_PORT LOG_FOLDER
    local folder="$3/front" as_root=
    PATH="$PATH:/usr/sbin"
    [ "$(id -u)" != 0 ] || as_root='user root;'
    mkdir -p "$folder"
    cat >"$folder/nginx.conf" <<NGINX
daemon off;
$as_root
worker_processes 1;
pid "$folder/pid";
error_log stderr;
events { worker_connections 2048; }
http {
    types { text/css css; text/javascript js mjs; font/woff2 woff2; image/svg+xml svg; image/png png; application/json json map; text/html html; application/wasm wasm; }
    default_type application/octet-stream;
    access_log off;
    server_tokens off;
    client_max_body_size 36m;
    client_body_temp_path "$folder/body";
    proxy_temp_path "$folder/proxy";
    fastcgi_temp_path "$folder/fastcgi";
    uwsgi_temp_path "$folder/uwsgi";
    scgi_temp_path "$folder/scgi";
    server {
        listen 127.0.0.1:$1 backlog=1024;
        location /build/ {
            root "$TOP/public";
            gzip on;
            gzip_types text/css text/javascript image/svg+xml;
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
        }
        location / {
            proxy_pass http://127.0.0.1:$2;
            proxy_http_version 1.1;
            proxy_set_header Host \$http_host;
            proxy_set_header X-Forwarded-For \$remote_addr;
            proxy_set_header X-Forwarded-Proto \$scheme;
            proxy_set_header X-Request-Arrived \$msec;
            proxy_next_upstream off;
            proxy_connect_timeout 60s;
            proxy_read_timeout 180s;
        }
        error_page 502 503 504 /unreachable.html;
        location = /unreachable.html {
            internal;
            root "$TOP/resources/front";
            add_header Cache-Control no-store always;
            add_header Content-Security-Policy "default-src 'none'; style-src 'unsafe-inline'" always;
        }
    }
}
NGINX
    in_background "$3/front.log" nginx -e stderr -c "$folder/nginx.conf"
    wait_for_port "$1" 20 "the web server in front (its log is $3/front.log)"
    export HARBOR_TRUSTED_PROXIES=127.0.0.1
}

application_start() { # application_start WEB_PORT MAIL_PORT LOG_FOLDER: mail sink, worker, web servers
    local web="$1" mail="$2" logs="$3" inner
    inner=$(free_port 3210) || fail "no free port for PHP's web server"
    mkdir -p "$logs"
    export MAIL_MAILER=smtp MAIL_HOST=127.0.0.1 MAIL_PORT="$mail"
    in_background "$logs/mail-sink.log" php services/mail-sink/server.php "$mail" "$HARBOR_MAIL"
    # A worker ends by itself when it has grown; the next one takes over.
    in_background "$logs/worker.log" bash -c 'while :; do php artisan queue:work --queue=soon,default,low --tries=3 --backoff=5 --timeout=300 --sleep=1 --memory=256; sleep 1; done'
    in_background "$logs/scheduler.log" php artisan schedule:work
    front_start "$web" "$inner" "$logs"
    # Not through artisan: the server it starts would not have these limits.
    in_background "$logs/web.log" env -C public PHP_CLI_SERVER_WORKERS=4 php -d max_input_vars=20000 -d upload_max_filesize=32M -d post_max_size=36M -d max_file_uploads=200 -d memory_limit=256M -d max_execution_time=90 -d opcache.enable_cli=1 -d expose_php=0 \
        -S "127.0.0.1:$inner" ../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php
    wait_for_port "$mail" 20 "the mail sink"
    wait_for_port "$inner" 30 "PHP's web server (its log is $logs/web.log)"
}
