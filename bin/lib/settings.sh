# Writes the settings of a new installation. Sourced by bin/install, and by checks.

as_replacement() { # text as sed takes it literally in a replacement between bars
    printf '%s' "$1" | sed -e 's/[\\&|]/\\&/g'
}

# What is wrong with what was given, in words; nothing when it can be written.
settings_fault() { # settings_fault DOMAIN MAIL_FROM INSTITUTION TIMEZONE
    local all="$1$2$3$4"
    if [[ "$all" == *$'\n'* || "$all" == *$'\r'* ]]; then
        echo "What is given cannot hold line breaks."
    elif [ -z "$1" ] || [ -z "$2" ]; then
        echo "Give --domain=HOST, under which people will reach it, and --mail-from=ADDRESS, from which it writes."
    elif [[ ! "$1" =~ ^[A-Za-z0-9]([A-Za-z0-9.-]*[A-Za-z0-9])?$ ]]; then
        echo "“$1” is no name of a host."
    elif [[ ! "$2" =~ ^[A-Za-z0-9.!#%\&\'*+/=?^_\`{|}~-]+@[A-Za-z0-9.-]+$ ]]; then
        echo "“$2” is no mail address."
    elif [[ "$3" == *[\"\$\\\`]* ]]; then
        echo "The name of the institution cannot hold \", \$, \\ or \`."
    elif [ -n "$4" ] && { [[ ! "$4" =~ ^[A-Za-z0-9_+/-]+$ ]] || { [ -d /usr/share/zoneinfo ] && [ ! -f "/usr/share/zoneinfo/$4" ]; }; }; then
        echo "There is no time zone “$4”."
    fi
}

settings_of() { # settings_of EXAMPLE KEY DOMAIN MAIL_FROM INSTITUTION TIMEZONE PASSWORD: the file, for harbor.env
    sed -e "s|^APP_KEY=.*|APP_KEY=$(as_replacement "$2")|" -e "s|^APP_URL=.*|APP_URL=https://$(as_replacement "$3")|" \
        -e "s|^MAIL_FROM_ADDRESS=.*|MAIL_FROM_ADDRESS=\"$(as_replacement "$4")\"|" \
        -e "s|^HARBOR_INSTITUTION=.*|HARBOR_INSTITUTION=\"$(as_replacement "$5")\"|" \
        -e "s|^HARBOR_TIMEZONE=.*|HARBOR_TIMEZONE=$(as_replacement "$6")|" \
        -e "s|^DB_PASSWORD=.*|DB_PASSWORD=\"$(as_replacement "$7")\"|" "$1"
}
