#!/usr/bin/env bash
# Runs a program and starts it again when it ends by itself; gives up the third time in a minute.
#   keep.sh NOTICES NAME command...      what it has to say goes into the file NOTICES, a line each
set -u
notices="$1" name="$2"
shift 2
ended=()
asked=
pid=
trap 'asked=yes; [ -z "$pid" ] || kill -TERM "$pid" 2>/dev/null' TERM INT HUP
while :; do
    "$@" &
    pid=$!
    wait "$pid"
    code=$?
    if [ -n "$asked" ]; then # the signal ended our waiting, not yet the program
        wait "$pid" 2>/dev/null
        exit 0
    fi
    # Children that outlived the program would hold its port. We are the head of our group, and they are in it.
    if [ "$(ps -o pgid= -p $$ | tr -d ' ')" = "$$" ]; then
        for left in $(pgrep -g $$); do
            [ "$left" = "$$" ] || kill -KILL "$left" 2>/dev/null
        done
    fi
    now=$(date +%s)
    recent=()
    for time in "${ended[@]:-}" "$now"; do
        [ -z "$time" ] || ((now - time >= 60)) || recent+=("$time")
    done
    ended=("${recent[@]}")
    if ((${#ended[@]} >= 3)); then
        echo "$name has ended three times in a minute (last with exit $code) and is not started again." >>"$notices"
        exit 1
    fi
    echo "$name ended by itself (exit $code) and was started again." >>"$notices"
    sleep 1
done
