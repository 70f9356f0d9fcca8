#!/usr/bin/env python3
"""Computes published grades again from a project's export, and compares them with what was published.

    python3 grades.py EXPORT.zip

EXPORT.zip is what "./ironstone export" or the project's settings page writes (or the folder that it was unpacked to).
Every publication holds, for each student, what was known of each component when it was published: its state, its share
of the whole, the class sessions that it came late, what was set by hand, and the peer factor before its caps. From
these and the scheme of that time this program computes every grade in exact fractions; where the ratings of today make
another peer factor it says so. Nothing of the application is used, only Python 3 as it is installed. Ends with 1 where a
grade differs.

    python3 grades.py --cases CASES.json

does the same for classes in one file: a list of {"scheme", "teams", "method", "students"}.
"""
import json, os, sys, zipfile
from fractions import Fraction as F


def read_tables(path):
    """The tables of an export, by name."""
    if os.path.isdir(path):
        folder = os.path.join(path, "tables")
        return {f[:-5]: json.load(open(os.path.join(folder, f), encoding="utf-8")) for f in os.listdir(folder)}
    with zipfile.ZipFile(path) as z:
        names = [n for n in z.namelist() if n.startswith("tables/")]
        return {n[7:-5]: json.loads(z.read(n)) for n in names}


def rounded(x, decimals, how="half up"):
    """A fraction rounded to so many decimals, as a fraction."""
    scaled = x * 10 ** decimals
    low = scaled.numerator // scaled.denominator
    rest = scaled - low
    up = {"half up": rest >= F(1, 2), "half even": rest > F(1, 2) or (rest == F(1, 2) and low % 2 == 1),
          "down": False, "up": rest > 0}[how]
    return F(low + (1 if up else 0), 10 ** decimals)


def shown(x):
    """A fraction with finitely many decimals as it is written, without zeros at its end."""
    for digits in range(0, 12):
        if (x * 10 ** digits).denominator == 1:
            text = str(int(x * 10 ** digits)).rjust(digits + 1, "0")
            return text[:-digits] + "." + text[-digits:] if digits else text
    return str(float(x))


def late(share, sessions, rule):
    """A share after what is taken off for coming late: never below the floor, never above what was earned."""
    counted = max(0, sessions - rule["grace"])
    left = share - F(rule["perSession"]) / 100 * counted
    return min(share, max(left, F(rule["floor"]) / 100)) if counted else share


def factors(method, members, ratings):
    """The peer factor of each member before caps; None where fewer than two rated."""
    counted = [r for r in ratings if r["rater"] != r["ratee"] and r["rater"] in members and r["ratee"] in members]
    got = {m: [F(r["value"]) for r in counted if r["ratee"] == m] for m in members}
    means = {m: sum(v) / len(v) for m, v in got.items() if v}
    if method == "ratings":
        base = sum(means.values()) / len(means) if means else F(0)
    else:
        base = F(100, max(1, len(members) - 1))
    return {m: means[m] / base if len(got[m]) >= 2 and base else None for m in members}


def value(part, facts, factor, caps):
    """The share of a part of the scheme; None where nothing in it counts."""
    if "parts" in part:
        share = weighed(part["parts"], facts, factor, caps, part.get("drop") or 0)
    else:
        fact = facts.get(part["key"], {"state": "not due"})
        share = {"scored": lambda: F(fact["share"]), "missing": lambda: F(0)}.get(fact["state"], lambda: None)()
        if fact["state"] == "scored" and fact.get("late") and part.get("late"):
            share = late(share, fact["late"], part["late"])
    if share is not None and part.get("peer") and factor is not None and caps:
        share *= min(max(factor, F(caps["low"])), F(caps["high"]))
    if "parts" not in part and facts.get(part["key"], {}).get("override") is not None:
        return F(facts[part["key"]]["override"])
    return share


def weighed(parts, facts, factor, caps, drop):
    """The mean of the parts that count, by weight, without the lowest; of equal ones the first goes."""
    known = [(value(p, facts, factor, caps), F(p["weight"])) for p in parts]
    known = [(i, s, w) for i, (s, w) in enumerate(known) if s is not None]
    gone = sorted(known, key=lambda k: (k[1], k[0]))[:max(0, min(drop, len(known) - 1))]
    counting = [k for k in known if k not in gone]
    return sum(s * w for _, s, w in counting) / sum(w for _, _, w in counting) if counting else None


def grade(scheme, facts, factor):
    """The grade as it is written, with its letter; None while nothing counts."""
    share = weighed(scheme["components"], facts, factor, scheme.get("peers"), 0)
    if share is None:
        return None, None
    percent = rounded(share * 100, 10)
    if scheme.get("most") is not None:
        percent = min(percent, F(scheme["most"]))
    percent = rounded(percent, scheme["decimals"], scheme.get("rounding") or "half up")
    letter = next((l["letter"] for l in scheme.get("letters") or [] if percent >= F(l["from"])), None)
    return shown(percent), letter


def check(name, scheme, students, factor_of):
    """Prints what differs among these students; how many were compared, and how many differ."""
    differ = 0
    for s in students:
        facts = {c["key"]: c for c in s["facts"]}
        now, letter = grade(scheme, facts, factor_of(s))
        if (now, letter) != (s["grade"], s.get("letter")):
            differ += 1
            print(f"{name}, {s['name']}: published {s['grade']} {s.get('letter') or ''}, computed {now} {letter or ''}")
    return len(students), differ


def from_cases(path):
    compared = differ = 0
    for i, case in enumerate(json.load(open(path, encoding="utf-8"))):
        found = {}
        for team in case["teams"]:
            found.update(factors(case["method"], team["members"], team["ratings"]))
        n, d = check(f"class {i + 1}", case["scheme"], case["students"], lambda s: found.get(s["id"]))
        compared, differ = compared + n, differ + d
    return compared, differ


def from_ratings(tables, person, peers):
    """A student's factor from the ratings that are in the export today."""
    round_ = next((r for r in tables.get("peer_round", []) if r["id"] == peers["round"]), None)
    ratings = [{"rater": r["rater_id"], "ratee": r["ratee_id"], "value": r["value"]}
               for r in tables.get("peer_rating", []) if r["round_id"] == peers["round"]]
    return factors(round_["method"], peers["members"], ratings).get(person) if round_ else None


def from_export(path):
    tables = read_tables(path)
    schemes = {(s["project_id"], s["number"]): s["definition"] for s in tables.get("scheme_version", [])}
    compared = differ = 0
    for p in sorted(tables.get("publication", []), key=lambda p: p["number"]):
        lines = [l for l in p["ledger"] if "facts" in l]
        if len(lines) < len(p["ledger"]):
            print(f"version {p['number']}: {len(p['ledger']) - len(lines)} students without their facts, not compared")
        scheme = schemes[(p["project_id"], p["scheme_version"])]

        def factor_of(line):
            peers = line.get("peers")
            if not peers or peers["factor"] is None:
                return None
            told, again = F(peers["factor"]), from_ratings(tables, line["personId"], peers)
            if again is not None and rounded(again, 10) != rounded(told, 10):
                print(f"version {p['number']}, {line['name']}: the ratings make the factor {float(again):.4f} today, "
                      f"and made {float(told):.4f}")
            return told

        n, d = check(f"version {p['number']}", scheme, lines, factor_of)
        compared, differ = compared + n, differ + d
    return compared, differ


def main(argv):
    compared, differ = from_cases(argv[2]) if argv[1:2] == ["--cases"] else from_export(argv[1])
    print(f"{compared} grades compared, {differ} differ")
    return 1 if differ else 0


if __name__ == "__main__":
    if len(sys.argv) < 2:
        sys.exit(__doc__)
    sys.exit(main(sys.argv))
