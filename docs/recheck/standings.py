#!/usr/bin/env python3
"""Computes the places of a contest again, from its export, and compares them with the CSV of its standings. Brackets
are drawn again from the seeds and played with the records: who should have met is who has met.

    python3 standings.py EXPORT.zip [STANDINGS.csv]

EXPORT.zip is what "./ironstone export" or the project's settings page writes (or the folder that it was unpacked to);
STANDINGS.csv comes from the contest page. Nothing of the application is used, only Python 3 as it is installed. Without
the CSV the places are printed. Ends with 1 where a place differs.
"""
import csv, json, os, re, sys, zipfile
from decimal import ROUND_HALF_UP, Decimal as D, getcontext

getcontext().prec = 40

# What does not fit beside the places: matches between others than those who should have met.
UNLIKE = []


def read_tables(path):
    """The tables of an export, by name."""
    if os.path.isdir(path):
        folder = os.path.join(path, "tables")
        return {f[:-5]: json.load(open(os.path.join(folder, f), encoding="utf-8")) for f in os.listdir(folder)}
    with zipfile.ZipFile(path) as z:
        names = [n for n in z.namelist() if n.startswith("tables/")]
        return {n[7:-5]: json.loads(z.read(n)) for n in names}


# How much one of a unit is in the units that readings are kept in: metre, kilogram, second and what is made of them.
SIZE = {"": 1, "1": 1, "%": D("0.01"), "m": 1, "cm": D("0.01"), "mm": D("0.001"), "kg": 1, "g": D("0.001"), "s": 1,
        "ms": D("0.001"), "min": 60, "h": 3600, "N": 1, "kN": 1000, "L": D("0.001"), "mL": D("0.000001"), "J": 1,
        "W": 1, "kPa": 1000, "Pa": 1, "V": 1, "A": 1, "mA": D("0.001"), "ft": D("0.3048"), "in": D("0.0254"),
        "lb": D("0.45359237"), "strokes": 1}


def size(unit):
    """How much one of a unit is, also of one that is put together, like kg/m^3."""
    if unit in SIZE:
        return D(SIZE[unit])
    value = D(1)
    for sign, name, power in re.findall(r"(^|[/*·])([A-Za-z%]+)(?:\^(\d+))?", unit):
        value *= D(SIZE[name]) ** ((-1 if sign == "/" else 1) * int(power or 1))
    return value


def measured(event, protocol, readings):
    """The value of an attempt in the event's unit: a reading, or what the protocol derives from its readings."""
    key = event["channel"]
    for m in protocol["measures"]:
        if m["key"] == key:
            return D(readings[key]) / size(m["unit"]) if key in readings else None
    derived = next(d for d in protocol["derived"] if d["key"] == key)
    words = set(re.findall(r"[A-Za-z_]\w*", derived["expression"]))
    known = {c["key"]: D(c["value"]) * size(c["unit"]) for c in protocol["constants"] if c["key"] in words}
    known.update({k: D(v) for k, v in readings.items()})
    if not words <= set(known) or re.search(r"[^\w\s.+*/()^-]", derived["expression"]):
        return None
    formula = re.sub(r"(?<![\w.])(\d+(?:\.\d+)?)", r'D("\1")', derived["expression"].replace("^", "**"))
    value = eval(formula, {"__builtins__": {}, "D": D}, known) / size(event["unit"])
    return D(f"{float(value):.12g}")


def net(event, value, charges):
    """What is ranked of an attempt: its distance from a target, and what it is charged."""
    v = abs(value - D(event["target"])) if "target" in event else value
    cost = sum((D(p["each"]) * charges.get(p["key"], 0) for p in event.get("penalties", [])), D(0))
    return v + cost if event["better"] == "less" else v - cost


def counted(event, tries):
    """What the attempts of an entry count for: a list of (state, value) to one value, or None."""
    policy, more = event["policy"], event["better"] == "more"
    foul = "worst" if policy["foul"] == "zero" and not more else policy["foul"]
    done = tries[: policy["n"]]
    good = [v for state, v in done if state == "valid" and v is not None]
    worst = (min(good) if more else max(good)) if good else None
    values = []
    for i, (state, v) in enumerate(done):
        stands = {"where": v, "zero": D(0), "worst": worst}.get(foul) if state != "valid" else v
        if stands is not None:
            values.append(stands)
        elif i == 0 and policy["school"] == "first" and state != "valid":
            return None
    if not values:
        return None
    best = sorted(values, reverse=more)
    middle = best[len(best) // 2] if len(best) % 2 else (best[len(best) // 2 - 1] + best[len(best) // 2]) / 2
    top = best[: policy.get("k") or 1]
    return {"best": best[0], "last": values[-1], "first": values[0], "sum": sum(values), "median": middle,
            "mean": sum(values) / len(values), "best-k": sum(top) / len(top)}[policy["school"]]


def on_grid(value, resolution):
    """A value as the instrument reads it, half up."""
    return value if not resolution else (value / D(resolution)).to_integral_value(ROUND_HALF_UP) * D(resolution)


def shuffled(items, seed):
    """A draw: the list in the order that the seed gives, the same on every machine."""
    m32, h, state = 0xFFFFFFFF, 0x811C9DC5, []
    for salt in (1, 2, 3, 4):
        for ch in f"{salt}:{seed}":
            h = ((h ^ ord(ch)) * 0x01000193) & m32
        state.append(h)
    a, b, c, d = state

    def random():
        nonlocal a, b, c, d
        t = (a + b + d) & m32
        d, a = (d + 1) & m32, b ^ (b >> 9)
        b = (c + (c << 3)) & m32
        c = ((((c << 21) | (c >> 11)) & m32) + t) & m32
        return t / 4294967296

    for _ in range(16):
        random()
    out = list(items)
    for i in range(len(out) - 1, 0, -1):
        j = int(random() * (i + 1))
        out[i], out[j] = out[j], out[i]
    return out


def places(rows, numbering="competition"):
    """Places of rows that are sorted, from keys that are equal where rows are tied."""
    out, start = {}, 0
    keys = [k for _, k in rows]
    dense = 0
    while start < len(rows):
        end = start
        while end < len(rows) and keys[end] == keys[start]:
            end += 1
        dense += 1
        place = {"competition": D(start + 1), "dense": D(dense), "shared": D(start + 1 + end) / 2}[numbering]
        for name, _ in rows[start:end]:
            out[name] = (place, end - start > 1)
        start = end
    return out


def attempts_event(t, event, entries):
    """An event in which everybody tries by themselves."""
    rules = event["definition"]
    protocol = next(v for v in t["protocol_version"] if v["id"] == event["protocol_version_id"])["definition"]
    sign = -1 if rules["better"] == "more" else 1
    lots = shuffled(sorted(e["id"] for e in entries), rules["seed"])
    rows = []
    for e in entries:
        runs = sorted((r for r in t["run"] if r["entry_id"] == e["id"] and r["state"] != "void"),
                      key=lambda r: (r["attempt"], r["recorded_at"]))
        tries = []
        for r in runs:
            read = {x["key"]: x["value"] for x in t["reading"] if x["run_id"] == r["id"]}
            charges = {p["key"]: p["count"] for p in t.get("penalty", []) if p["run_id"] == r["id"]}
            takes = r["state"] == "valid" or rules["policy"]["foul"] == "where"
            value = measured(rules, protocol, read) if takes else None
            tries.append((r["state"], None if value is None else net(rules, value, charges)))
        value = None if e["inspection"] == "turned away" else counted(rules, tries)
        if value is None:
            continue
        done = tries[: rules["policy"]["n"]]
        seen = [on_grid(v, rules["resolution"]) for s, v in done if s == "valid" and v is not None]
        second = sorted(x * sign for x in seen)[1:2]
        mass = next((b["mass"] for b in t["build"] if b["id"] == e["build_id"]), None)
        breaks = {"second": second[0] if second else None, "lighter": D(mass) if mass else None,
                  "earlier": e["inspected_at"], "runoff": e.get("run_off"), "lot": lots.index(e["id"])}
        chain = tuple((breaks[k] is None, breaks[k] if breaks[k] is not None else 0) for k in rules["tieBreaks"])
        rows.append((e["team"], (on_grid(value, rules["resolution"]) * sign,) + chain))
    rows.sort(key=lambda r: r[1])
    return places(rows, rules["ranking"])


def judged_event(t, event, entries):
    """An event that judges mark: each sheet of 100, then the method."""
    rules = event["definition"]
    whole = sum(D(c["weight"]) for c in rules["criteria"]) * rules["most"]
    sheets = [(e["team"], s["judge_id"], {k: D(v) for k, v in s["marks"].items()})
              for e in entries for s in t["judge_sheet"] if s["entry_id"] == e["id"] and s["state"] == "marked"]
    marks = [(team, judge, sum(D(c["weight"]) * m.get(c["key"], 0) for c in rules["criteria"]) * 100 / whole)
             for team, judge, m in sheets]
    severity = {judge: D(0) for _, judge, _ in marks}
    if rules["method"] == "adjusted" and marks:
        # Teams that no judge connects cannot be compared: then nobody has a place.
        seen, more = set(), {marks[0][0]}
        while more - seen:
            seen |= more
            judges = {j for x, j, _ in marks if x in seen}
            more = {x for x, j, _ in marks if j in judges}
        if seen != {x for x, _, _ in marks}:
            return {}
        # Teams and judges by turns, until nothing moves: the least squares of mark = team + judge.
        team_is = {}
        for _ in range(20000):
            for team in {m[0] for m in marks}:
                own = [m - severity[j] for x, j, m in marks if x == team]
                team_is[team] = sum(own) / len(own)
            new = {}
            for judge in severity:
                own = [m - team_is[x] for x, j, m in marks if j == judge]
                new[judge] = sum(own) / len(own)
            moved = max(abs(new[j] - severity[j]) for j in new)
            mean = sum(new.values()) / len(new)
            severity = {j: v - mean for j, v in new.items()}
            if moved < D("1e-9"):
                break
    heaviest = max(rules["criteria"], key=lambda c: D(c["weight"]))["key"]
    rows = []
    for team in dict.fromkeys(m[0] for m in marks):
        own = sorted(m - severity[j] for x, j, m in marks if x == team)
        if rules["method"] == "trimmed" and len(own) >= 3:
            own = own[1:-1]
        first = [m.get(heaviest, D(0)) for x, _, m in sheets if x == team]
        tie = -sum(first) / len(first) if rules["tie"] == "heaviest" else 0
        value = (sum(own) / len(own)).quantize(D("0.000001"), ROUND_HALF_UP)
        rows.append((team, (-on_grid(value, "0.01"), tie)))
    rows.sort(key=lambda r: r[1])
    return places(rows)


def main_side(n):
    """The matches of a single elimination, round by round, and who is in each: a seed, or an earlier winner."""
    order = [1]
    while len(order) < n:
        order = [x for s in order for x in (s, 2 * len(order) + 1 - s)]
    inside, rounds = [("seed", s) for s in order], []
    while len(inside) > 1:
        r = len(rounds) + 1
        rounds.append([(f"M{r}-{i // 2 + 1}", inside[i], inside[i + 1]) for i in range(0, len(inside), 2)])
        inside = [("winner", m[0]) for m in rounds[-1]]
    return rounds


def bracket(rules, double, n):
    """Every match of an elimination in an order in which it can be played."""
    main = main_side(n)
    if not double:
        half = [m[0] for m in main[-2]] if len(main) > 1 else []
        third = [("T1", ("loser", half[0]), ("loser", half[1]))] if rules.get("third") and half else []
        return [m for r in main[:-1] for m in r] + third + main[-1]
    out, step = list(main[0]), 0
    left = [("loser", m[0]) for m in main[0]]
    for number, here in enumerate(main[1:], 2):
        step += 1
        pairs = [(f"S{step}-{i // 2 + 1}", left[i], left[i + 1]) for i in range(0, len(left), 2)]
        out += pairs + here
        # The losers of a quarter go to another quarter in each round, so that they meet nobody whom they have beaten.
        quarter = len(here) // 4
        drop = [None] * len(here)
        for i, m in enumerate(here):
            to = (i // quarter ^ number - 1) % 4 * quarter + i % quarter if quarter else i ^ 1
            drop[to if len(here) > 1 else 0] = ("loser", m[0])
        step += 1
        left = [(f"S{step}-{i + 1}", ("winner", p[0]), drop[i]) for i, p in enumerate(pairs)]
        out += left
        left = [("winner", m[0]) for m in left]
    last = [("F1", ("winner", main[-1][0][0]), left[0])]
    return out + last + ([("F2", ("loser", "F1"), ("winner", "F1"))] if rules["secondFinal"] else [])


def played(event, rules, name, seeds, records):
    """The record of each match that counts: the last one between the two who meet there, from the first round on."""
    double = event["format"] == "double"
    ends, counts, top = {}, {}, None

    def who(side):
        kind, of = side
        if kind == "seed":
            return seeds[of - 1] if of <= len(seeds) else None
        return ends[of][kind == "loser"]

    for slot, a, b in bracket(rules, double, len(seeds)):
        a, b = who(a), who(b)
        if slot == "F1":
            top = a
        if slot == "F2" and ends["F1"][0] == top:
            continue
        if "?" in (a, b):
            ends[slot] = ("?", "?")
        elif a is None or b is None:
            ends[slot] = (a or b, None)
        else:
            fits = [r for r in records if r["slot"] == slot and {r["a_id"], r["b_id"]} == {a, b}]
            if not fits:
                ends[slot] = ("?", "?")
                if event.get("state") == "confirmed":
                    UNLIKE.append(f"{event['name']}, {slot}: {name[a]} meets {name[b]}, of which there is no record")
                continue
            r = counts[slot] = fits[-1]
            beaten = b if r["winner_id"] == a else a
            out = r["winner_id"] is None or r["outcome"] == "disqualified"
            ends[slot] = (r["winner_id"], None if out else beaten)
    return counts


def matches_event(t, event, entries):
    """An event in which two meet at a time: of several records of a match the last one counts."""
    drawn = sorted((e for e in entries if e["run_order"] is not None), key=lambda e: e["run_order"])
    rules, name = event["definition"], {e["id"]: e["team"] for e in drawn}
    records = sorted((r for r in t["match_result"] if r["event_id"] == event["id"]), key=lambda r: r["number"])
    if event["format"] in ("robin", "records"):
        last = list({r["slot"]: r for r in records}.values())
        pairs = [tuple(sorted((r["a_id"], r["b_id"]))) for r in last]
        for a, b in {p for p in pairs if pairs.count(p) > 1}:
            UNLIKE.append(f"{event['name']}: {name[a]} and {name[b]} met more than once")
        return table(t, event, rules, name, last)
    double = event["format"] == "double"
    last = played(event, rules, name, list(name), records)
    rounds = max(int(k[1:].split("-")[0]) for k in last if k[0] == "M")

    def late(slot):
        """How late in the event a match is: whoever leaves later is placed before."""
        if not double and slot == f"M{rounds}-1":
            return 1001
        kind, number = slot[0], int(re.findall(r"\d+", slot)[0]) if slot[0] != "T" else 0
        return {"F": 1000 + number, "T": 999, "S": number}.get(kind) or (
            number if not double or number == 1 else 2 * (number - 1))

    left, losses = {}, {e: 0 for e in name}
    for slot, r in sorted(last.items(), key=lambda x: late(x[0])):
        for e in (r["a_id"], r["b_id"]):
            if e != r["winner_id"]:
                left[e] = late(slot)
                losses[e] += 1
            elif slot.startswith("T"):
                left[e] = late(slot) + 0.5
    final = last.get("F2") or last.get("F1") or max(last.items(), key=lambda x: (x[0][0] == "M", late(x[0])))[1]
    champion = final["winner_id"]
    plain = all(r["outcome"] in ("won", "walkover") for r in last.values())
    if double and rules["secondFinal"] and plain:
        wrong = [name[e] for e in name if e != champion and losses[e] != 2]
        UNLIKE.extend(f"{event['name']}: {team} has not lost twice" for team in wrong)
    if double and plain:
        needed = 2 * len(name) - 2 + (1 if "F2" in last else 0)
        if len(last) != needed:
            UNLIKE.append(f"{event['name']}: {len(last)} matches, {needed} expected")
    rows = sorted(((name[e], -at) for e, at in left.items() if e != champion), key=lambda r: r[1])
    return places([(name[champion], -10000)] + rows)


def table(t, event, rules, name, results):
    """A table: points, then the points among those who are tied, then the difference."""
    win, draw, loss = (D(rules["points"][k]) for k in ("win", "draw", "loss"))
    rounds = [d["outcome"] for d in t["draw"] if d["purpose"] == f"round of {event['id']}"]
    seeds = sorted(name, key=lambda e: next(x["run_order"] for x in t["entry"] if x["id"] == e))
    byes = [seeds[r["bye"] - 1] for r in rounds if r.get("bye")]

    def points(e, of):
        sides = [r for r in of if e in (r["a_id"], r["b_id"])]
        won = sum(r["winner_id"] == e for r in sides)
        drawn = sum(r["outcome"] == "drawn" for r in sides)
        return win * won + draw * drawn + loss * (len(sides) - won - drawn)

    def difference(e):
        sign = lambda r: 1 if r["a_id"] == e else -1
        return sum((sign(r) * (D(r["a_score"]) - D(r["b_score"])) for r in results
                    if e in (r["a_id"], r["b_id"]) and r["a_score"] is not None), D(0))

    total = {e: points(e, results) + win * byes.count(e) for e in name}
    rows = []
    for e in name:
        tied = [x for x in name if total[x] == total[e]]
        among = [r for r in results if r["a_id"] in tied and r["b_id"] in tied]
        rows.append((name[e], (-total[e], -points(e, among), -difference(e))))
    rows.sort(key=lambda r: r[1])
    return places(rows)


def contest(path):
    """The places of every event of an export: by event and team, the place and whether it is shared."""
    t = read_tables(path)
    teams = {x["id"]: x["name"] for x in t["team"]}
    out = {}
    for event in t["event"]:
        entries = [dict(e, team=teams[e["team_id"]]) for e in t["entry"] if e["event_id"] == event["id"]]
        how = {"attempts": attempts_event, "judged": judged_event}.get(event["format"], matches_event)
        begun = how is not matches_event or any(r["event_id"] == event["id"] for r in t["match_result"])
        out[event["name"]] = how(t, event, entries) if begun else {}
    return out


def main(path, table_path=None):
    UNLIKE.clear()
    mine, wrong, compared = contest(path), 0, 0
    for words in UNLIKE:
        print(words)
    if not table_path:
        for event, rows in mine.items():
            print(event)
            for team, (place, shared) in rows.items():
                print(f"  {place.normalize():f}{'=' if shared else ' '} {team}")
        return 1 if UNLIKE else 0
    with open(table_path, encoding="utf-8-sig", newline="") as f:
        for row in csv.DictReader(f):
            place, shared = mine.get(row["Event"], {}).get(row["Team"], (None, False))
            theirs = D(row["Place"]) if row["Place"] else None
            compared += 1
            if theirs != place or (place is not None and (row["Shared"] == "yes") != shared):
                wrong += 1
                print(f"{row['Event']}, {row['Team']}: {row['Place'] or 'no place'} in the table, {place} here")
    print(f"{compared} places compared, {wrong} differ")
    return 1 if wrong or UNLIKE or not compared else 0


if __name__ == "__main__":
    sys.exit(main(*sys.argv[1:3]) if len(sys.argv) in (2, 3) else print(__doc__) or 2)
