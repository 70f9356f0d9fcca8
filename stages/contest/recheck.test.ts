// The script with which a doubting parent computes places again, against the core on random contests.
import { spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type JudgedRules, judgedStandings } from "@/core/contest/judged";
import { type MatchRules, matchStandings, slotsOf } from "@/core/contest/matches";
import { play, type Result } from "@/core/contest/play";
import { type EventDefinition, type Standing, standings } from "@/core/contest/standings";
import { seededRandom } from "@/core/draw/draw";
import { judgeMethod, placeNumbering, tieBreak } from "@/core/vocabulary/contest";
import { attemptMethod } from "@/core/vocabulary/runs";

// The script needs Python 3, which not every machine has: there this test says that it was skipped.
const has = spawnSync("python3", ["--version"]).status === 0;

interface Row {
  readonly name: string;
  readonly place: number | null;
  readonly shared?: boolean;
  readonly sharing: number;
}

/** A project's tables as an export has them, and the places that the core gives. */
class Contest {
  readonly tables: Record<string, object[]> = Object.fromEntries(
    ["team", "event", "entry", "run", "reading", "penalty", "build", "protocol_version", "match_result"]
      .concat(["judge_sheet", "draw"])
      .map((name) => [name, []]),
  );
  readonly lines = ["Event,Place,Shared,Team"];
  private readonly random: () => number;
  constructor(
    seed: string,
    readonly size: number,
  ) {
    this.random = seededRandom(seed);
    this.tables.protocol_version!.push({ id: "p", definition: { measures: [{ key: "x", unit: "m" }], constants: [] } });
    for (let i = 0; i < size; i++) {
      this.tables.team!.push({ id: `t${i}`, name: `Team ${i}` });
      this.tables.build!.push({ id: `b${i}`, mass: String(3 + this.int(3)) });
    }
  }
  int = (below: number) => Math.floor(this.random() * below);
  pick = <T>(of: readonly T[]): T => of[this.int(of.length)]!;
  add(name: string, format: string, definition: object, rows: readonly Row[]) {
    this.tables.event!.push({ id: name, name, format, definition, protocol_version_id: "p", state: "confirmed" });
    for (const r of rows)
      this.lines.push([name, r.place ?? "", (r.shared ?? r.sharing > 1) ? "yes" : "no", r.name].join(","));
  }
  enter(event: string, inspection = "passed") {
    return Array.from({ length: this.size }, (_, i) => {
      const id = `${event} ${String(i).padStart(2, "0")}`;
      const inspected = `2027-03-26T08:${10 + this.int(40)}:00Z`;
      const entry = {
        id,
        event_id: event,
        team_id: `t${i}`,
        build_id: `b${i}`,
        run_order: i + 1,
        run_off: 1 + this.int(9),
      };
      this.tables.entry!.push({ ...entry, inspection, inspected_at: inspected });
      return { ...entry, name: `Team ${i}`, inspected };
    });
  }

  attempts() {
    const less = this.pick([true, false]);
    const target = less && this.pick([true, false]) ? "8" : undefined;
    const foul = this.pick(less ? (["out", "worst", "where"] as const) : (["out", "worst", "where", "zero"] as const));
    const definition: EventDefinition = {
      channel: "x",
      unit: "m",
      better: less ? "less" : "more",
      policy: { school: this.pick(attemptMethod.values), n: 3, k: 2, foul },
      ranking: this.pick(placeNumbering.values),
      resolution: this.pick([null, "0.5"]),
      tieBreaks: [...tieBreak.values].sort(() => this.random() - 0.5).slice(0, this.int(4)),
      points: null,
      seed: "4417",
      target,
      penalties: [{ key: "rim", name: "Rim", each: "0.3" }],
    };
    const entries = this.enter("Lift").map((e, i) => {
      const attempts = Array.from({ length: this.int(5) }, (_, k) => {
        const state = this.pick(["valid", "valid", "valid", "foul", "no_finish"] as const);
        const value = (6 + this.int(9) / 4).toString();
        const id = `${e.id} ${k}`;
        this.tables.run!.push({ id, entry_id: e.id, state, attempt: k + 1, recorded_at: "" });
        this.tables.reading!.push({ run_id: id, key: "x", value });
        const count = this.int(3);
        if (count) this.tables.penalty!.push({ run_id: id, key: "rim", count });
        const takes = state === "valid" || foul === "where";
        return { state, value: takes ? value : null, charges: count ? [{ key: "rim", count }] : [] };
      });
      const mass = (this.tables.build![i] as { mass: string }).mass;
      return { id: e.id, name: e.name, attempts, mass, inspectedAt: e.inspected, runOff: e.run_off, out: false };
    });
    this.add("Lift", "attempts", definition, standings(definition, entries) as Standing[]);
  }

  judged() {
    const rules: JudgedRules = {
      criteria: [
        { key: "c1", name: "Use", weight: "3" },
        { key: "c2", name: "Work", weight: "2" },
      ],
      most: 5,
      method: this.pick(judgeMethod.values),
      tie: this.pick(["shared", "heaviest"]),
      full: "",
      placePoints: [],
    };
    const entries = this.enter("Design").map((e) => ({ id: e.id, name: e.name, out: false }));
    const sheets = entries.flatMap((e) =>
      ["j1", "j2", "j3", "j4"].flatMap((judge) => {
        if (this.random() < 0.3) return [];
        const marks = { c1: this.int(6), c2: this.int(6) };
        this.tables.judge_sheet!.push({ entry_id: e.id, judge_id: judge, state: "marked", marks });
        return [{ entry: e.id, judge, marks }];
      }),
    );
    this.add("Design", "judged", rules, judgedStandings(rules, entries, sheets));
  }

  matches(format: "single" | "double" | "robin") {
    const rules = {
      format,
      secondFinal: this.pick([true, false]),
      third: this.pick([true, false]),
      rounds: 3,
      points: { win: "2", draw: "1", loss: "0" },
    } as unknown as MatchRules;
    const entries = this.enter(format).map((e) => ({ id: e.id, name: e.name }));
    const ids = entries.map((e) => e.id);
    const results: Result[] = [];
    for (;;) {
      const next = play(slotsOf(rules, ids.length, []), ids, results).find((m) => m.state === "ready");
      if (!next) break;
      const drawn = format === "robin" && this.random() < 0.2;
      const winner = drawn ? null : this.pick([next.a!, next.b!]);
      const score: [string, string] = [String(this.int(5)), String(this.int(5))];
      const outcome = drawn ? "drawn" : this.pick(["won", "won", "walkover"] as const);
      results.push({ slot: next.slot.key, a: next.a!, b: next.b!, outcome, winner, score });
      this.tables.match_result!.push({
        ...{ event_id: format, number: results.length, slot: next.slot.key, a_id: next.a, b_id: next.b, outcome },
        ...{ winner_id: winner, a_score: score[0], b_score: score[1] },
      });
    }
    this.add(format, format, rules, matchStandings(rules, entries, results, []));
  }

  write(folder: string) {
    mkdirSync(join(folder, "tables"), { recursive: true });
    for (const [name, rows] of Object.entries(this.tables))
      writeFileSync(join(folder, "tables", `${name}.json`), JSON.stringify(rows));
    writeFileSync(join(folder, "standings.csv"), this.lines.join("\n"));
  }
}

const script = join(process.cwd(), "docs/recheck/standings.py");
const all = `import sys; sys.path.insert(0, ${JSON.stringify(join(process.cwd(), "docs/recheck"))})
import standings
print(sum(standings.main(f, f + "/standings.csv") for f in sys.argv[1:]), "of", len(sys.argv) - 1, "contests differ")`;

(has ? describe : describe.skip)("places computed again by docs/recheck/standings.py", () => {
  let folder = "";
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), "ironstone-recheck-"));
  });
  afterEach(() => rmSync(folder, { recursive: true }));

  test("are those of the core on random contests of every kind of event, up to 64 entries", () => {
    const folders = Array.from({ length: 40 }, (_, i) => {
      const contest = new Contest(`recheck ${i}`, 2 + (i % 15));
      contest.attempts();
      contest.judged();
      for (const format of ["single", "double", "robin"] as const) contest.matches(format);
      contest.write(join(folder, String(i)));
      return join(folder, String(i));
    });
    for (const size of [31, 64]) {
      const contest = new Contest(`large ${size}`, size);
      for (const format of ["single", "double"] as const) contest.matches(format);
      contest.write(join(folder, `large ${size}`));
      folders.push(join(folder, `large ${size}`));
    }
    const { stdout, stderr } = spawnSync("python3", ["-B", "-c", all, ...folders], { encoding: "utf8" });
    expect([stderr, stdout.split("\n").filter((l) => !l.includes("compared"))]).toEqual([
      "",
      ["0 of 42 contests differ", ""],
    ]);
  }, 60_000);

  test("a match between others than those who should have met is named", () => {
    const contest = new Contest("others", 6);
    contest.matches("double");
    const records = contest.tables.match_result as { slot: string; a_id: string; b_id: string; winner_id: string }[];
    // Who lost the first match is written as its winner: the winner's next match is now somebody else's.
    const [first] = records.filter((r) => r.slot.startsWith("M1"));
    first!.winner_id = first!.winner_id === first!.a_id ? first!.b_id : first!.a_id;
    contest.write(folder);
    const { status, stdout } = spawnSync("python3", ["-B", script, folder], { encoding: "utf8" });
    expect([status, stdout]).toEqual([1, expect.stringMatching(/^double, [MS]\d-\d: Team \d meets Team \d, of which/)]);
  });

  test("differ where a place was changed, and the script says which", () => {
    const contest = new Contest("changed", 4);
    contest.attempts();
    contest.write(folder);
    const changed = contest.lines.map((l) => l.replace(/^Lift,1,/, "Lift,3,"));
    writeFileSync(join(folder, "standings.csv"), changed.join("\n"));
    const { status, stdout } = spawnSync("python3", ["-B", script, folder, join(folder, "standings.csv")], {
      encoding: "utf8",
    });
    expect([status, stdout]).toEqual([1, expect.stringMatching(/^Lift, Team \d: 3 in the table, 1 here/)]);
  });
});
