# Shared by the scripts in bin/: makes the machine, the packages and the build ready, and skips what is ready already.
say() { printf '\033[1m%s\033[0m\n' "$*"; }
die() { printf 'dripel: %s\n' "$*" >&2; exit 1; }
as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# need_packages browser|"": Debian packages that are missing are installed, once.
need_packages() {
    local want=() missing=() package version
    command -v php >/dev/null || want+=(php-cli)
    version=$(command -v php >/dev/null && php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;' || echo "")
    php -r 'exit(array_diff(["pdo_sqlite","curl","zip","mbstring","intl","xml","dom","Zend OPcache"], get_loaded_extensions()) === [] ? 0 : 1);' 2>/dev/null \
        || for package in cli sqlite3 curl zip mbstring intl xml opcache; do want+=("php${version}-${package}"); done
    command -v composer >/dev/null || want+=(composer)
    command -v sqlite3 >/dev/null || want+=(sqlite3)
    command -v npm >/dev/null || want+=(nodejs npm)
    if [ "${1:-}" = browser ]; then
        command -v chromium >/dev/null || want+=(chromium)
        command -v chromium-headless-shell >/dev/null || want+=(chromium-headless-shell)
        command -v chromedriver >/dev/null || want+=(chromium-driver)
        command -v openssl >/dev/null || want+=(openssl)
        command -v certutil >/dev/null || want+=(libnss3-tools)
    fi
    # What serves it for many (deploy/); also with the browser, where CI asks for it.
    if [ "${DRIPEL_SERVE:-}" = yes ]; then
        [ -x /usr/sbin/nginx ] || want+=(nginx-light)
        compgen -G '/usr/sbin/php-fpm*' >/dev/null || want+=("php${version}-fpm")
    fi
    if [ "${DRIPEL_POSTGRES:-}" = yes ]; then
        compgen -G '/usr/lib/postgresql/*/bin/initdb' >/dev/null || command -v initdb >/dev/null || want+=(postgresql)
        php -m | grep -qx pdo_pgsql || want+=("php${version}-pgsql")
    fi
    for package in "${want[@]}"; do dpkg -s "$package" >/dev/null 2>&1 || missing+=("$package"); done
    if ((${#missing[@]})); then
        say "Installing ${missing[*]}"
        as_root apt-get update -qq
        as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null
    fi
    # Pages are kept in its memory; where it cannot be had they are made anew each time. Tried once: no later start waits for it.
    if ! php -m | grep -qx apcu && [ ! -f storage/run/without-apcu ]; then
        package="php$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')-apcu"
        say "Installing $package"
        { as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$package"; } >/dev/null \
            || { say "It cannot be had here, and is not needed"; mkdir -p storage/run; touch storage/run/without-apcu; }
    fi
    command -v node >/dev/null || die "Node.js is missing: install Node.js 20.19 or newer, then start again"
    node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a>20||(a===20&&b>=19)?0:1)' \
        || die "the build needs Node.js 20.19 or newer, this machine has $(node --version): install a newer one, then start again"
}

stamped() { [ -f "$1" ] && [ "$(cat "$1")" = "$2" ]; }

need_vendor() {
    local stamp; stamp=$(cat composer.json <(php -r 'echo PHP_VERSION;') | sha256sum)
    stamped vendor/.stamp "$stamp" && return
    say "Installing PHP packages"
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet
    # What was made of the views is of the packages before.
    rm -f storage/framework/views/*.php
    echo "$stamp" > vendor/.stamp
}

need_modules() {
    local stamp; stamp=$(sha256sum < package-lock.json)
    stamped node_modules/.stamp "$stamp" && return
    say "Installing JavaScript packages"
    npm ci --no-audit --no-fund --loglevel=error
    echo "$stamp" > node_modules/.stamp
}

need_build() {
    local stamp; stamp=$(find resources/js vite.config.ts package-lock.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum)
    stamped public/build/.stamp "$stamp" && [ -f public/sw.js ] && return
    need_modules
    say "Building the screens"
    npx vite build --logLevel error
    echo "$stamp" > public/build/.stamp
}

# need_certificate [FOLDER]: a root of this machine's own, which a phone is told to trust once, and a certificate signed by it for the addresses
# that the machine has now; that one is made again when they change or it is about to end. The root may sign for home networks only.
need_certificate() {
    command -v openssl >/dev/null || { say "Installing openssl"; as_root apt-get update -qq; as_root apt-get install -y -qq openssl >/dev/null; }
    need_modules
    local folder=${1:-storage/app/lan} host name names
    host=$(node bin/lan.mjs address 0); host=${host#https://}; host=${host%:*}
    name=$(hostname 2>/dev/null || echo dripel)
    names="subjectAltName=IP:$host,IP:127.0.0.1,DNS:localhost,DNS:$name"
    mkdir -p "$folder"; chmod 700 "$folder"
    if [ ! -f "$folder/root.pem" ] || ! openssl x509 -checkend 34300800 -noout -in "$folder/root.pem" >/dev/null; then
        openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 3650 -subj "/CN=Dripel on $name" \
            -addext "basicConstraints=critical,CA:TRUE,pathlen:0" -addext "keyUsage=critical,keyCertSign" \
            -addext "nameConstraints=critical,permitted;IP:10.0.0.0/255.0.0.0,permitted;IP:172.16.0.0/255.240.0.0,permitted;IP:192.168.0.0/255.255.0.0,permitted;IP:169.254.0.0/255.255.0.0,permitted;IP:127.0.0.0/255.0.0.0,permitted;IP:$host/255.255.255.255,permitted;DNS:localhost,permitted;DNS:local,permitted;DNS:$name" \
            -keyout "$folder/root-key.pem" -out "$folder/root.pem" 2>/dev/null
        rm -f "$folder/.names"
    fi
    stamped "$folder/.names" "$names" && openssl x509 -checkend 604800 -noout -in "$folder/cert.pem" >/dev/null && return
    openssl req -new -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -subj "/CN=Dripel" -keyout "$folder/key.pem" -out "$folder/request.pem" 2>/dev/null
    openssl x509 -req -in "$folder/request.pem" -CA "$folder/root.pem" -CAkey "$folder/root-key.pem" -CAcreateserial -days 397 -out "$folder/leaf.pem" \
        -extfile <(printf '%s\nbasicConstraints=critical,CA:FALSE\nkeyUsage=critical,digitalSignature\nextendedKeyUsage=serverAuth\n' "$names") 2>/dev/null
    cat "$folder/leaf.pem" "$folder/root.pem" > "$folder/cert.pem"
    rm -f "$folder/request.pem" "$folder/leaf.pem"
    chmod 600 "$folder"/*key.pem
    echo "$names" > "$folder/.names"
}

# free_port PORT WAY_OUT
free_port() {
    ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null || die "port $1 is taken: Dripel may be running already; $2"
}

# need_writable FOLDER...
need_writable() {
    local folder probe
    for folder in "$@"; do
        probe=$folder/.writable
        { mkdir -p "$folder" && echo x > "$probe"; } 2>/dev/null || no_write "$folder"
        rm -f "$probe"
    done
}

no_write() {
    local free; free=$(free_mb)
    ((${free:-1} > 0)) || die "the disk is full: $1 cannot be written. Free some of it, then start again; nothing was changed"
    die "$1 cannot be written. Is the disk read-only, or does the folder belong to somebody else? Mend that, then start again; nothing was changed"
}

free_mb() { df -Pm . 2>/dev/null | awk 'NR==2 {print $4}'; }

# need_room MEGABYTES
need_room() {
    local free; free=$(free_mb)
    [[ ! $free =~ ^[0-9]+$ ]] || ((free >= $1)) || die "the disk is nearly full: $free MB are free, $1 MB are needed. Free some of it, then start again; nothing was changed"
}

# artisan COMMAND: quiet when it works, and when it fails what it has to say, in a line or two.
artisan() {
    local said; said=$(php artisan "$@" --no-ansi 2>&1) && return
    die "$(grep -v '^ *$' <<<"$said" | head -3 | sed 's/^ *//')"
}

# The database that bin/start serves: the demo's or the workshop's own.
use_database() {
    local name=dripel
    [ -f .env ] || die "nothing is here yet; run bin/start first"
    grep -q '^DRIPEL_DEMO=true' .env && name=demo
    export DB_DATABASE=$PWD/storage/app/$name.sqlite
    export APP_CONFIG_CACHE=$PWD/storage/run/none.php APP_ROUTES_CACHE=$PWD/storage/run/none.php
}
