# Load, and the count of what it was told is safe.

# begin_load ADDRESS FOLDER
begin_load() {
    load_folder=$2
    rm -f "$load_folder/acknowledged.json" "$load_folder/load.in"
    mkfifo "$load_folder/load.in"
    node bin/load.mjs "$1" 6 "$load_folder/acknowledged.json" <"$load_folder/load.in" >"$load_folder/load.log" 2>&1 9>&- &
    load_pid=$!
    exec 8>"$load_folder/load.in"
    local tries
    for tries in $(seq 600); do
        grep -q loading "$load_folder/load.log" && return
        kill -0 "$load_pid" 2>/dev/null || break
        sleep 0.1
    done
    cat "$load_folder/load.log" >&2
    fail 'The load did not begin.'
}

end_load() {
    printf 'end\n' >&8
    exec 8>&-
    wait "$load_pid" || true
    tail -n 1 "$load_folder/load.log"
}

# count_acknowledged FOLDER CLIENT...: how many of the acknowledged readings a database holds, and how many twice.
count_acknowledged() {
    local from=$1
    shift
    node -e 'const account = JSON.parse(require("fs").readFileSync(process.argv[1]));
        if (account.refused.length) console.error(account.refused.slice(0, 5), account.failures);
        console.log("CREATE TEMPORARY TABLE told (id CHAR(26) COLLATE utf8mb4_unicode_ci PRIMARY KEY);");
        for (let at = 0; at < account.acknowledged.length; at += 500)
            console.log("INSERT INTO told VALUES " + account.acknowledged.slice(at, at + 500).map((id) => `("${id}")`).join(",") + ";");
        console.log(`SELECT CONCAT(COUNT(*), " acknowledged, ", SUM(readings.id IS NULL), " lost, ", COUNT(readings.id) - COUNT(DISTINCT readings.id), " doubled, ",
            (SELECT COUNT(*) FROM readings JOIN jobs ON jobs.id = readings.job_id JOIN units ON units.id = jobs.unit_id WHERE units.name LIKE "Load %" AND readings.test = "battery-volts@4"), " of the load in all")
            FROM told LEFT JOIN readings ON readings.id = told.id;`);' "$from/acknowledged.json" | "$@"
}
