// Grades against the second program that ships with the project, on generated schemes and classes.
import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Decimal from "decimal.js";
import { seededRandom } from "../draw/draw";
import { peerMethod, rounding } from "../vocabulary/grades";
import { makeWorking } from "../working/working";
import { gradeOf, type Peer } from "./grade";
import { type PeerRating, peerFactors } from "./peers";
import {
  type ComponentState,
  checkScheme,
  leavesOf,
  type Override,
  type SchemeDefinition,
  type SchemeNode,
} from "./scheme";

// The program needs Python 3, which not every machine has: there this test says that it was skipped.
const has = spawnSync("python3", ["--version"]).status === 0;
const script = join(process.cwd(), "docs/recheck/grades.py");
/** Classes that are compared; `IRONSTONE_CLASSES=10000` compares so many. */
const classes = Number(process.env.IRONSTONE_CLASSES ?? 400);

const nothing = makeWorking({ title: "", result: "", rule: "" });

/** A generated class: a scheme, its teams with their ratings, and what is known of each student. */
class Class {
  private readonly random: () => number;
  private readonly scheme: SchemeDefinition;
  private keys = 0;
  constructor(seed: string) {
    this.random = seededRandom(seed);
    const tops = this.parts(1 + this.below(5), 1);
    // Weights at the top make 100, some with a half.
    const cuts = tops.slice(1).map(() => (1 + this.below(197)) / 2);
    const ends = [0, ...cuts.toSorted((a, b) => a - b), 100];
    const weighed = tops
      .map((p, i) => ({ ...p, weight: String(ends[i + 1]! - ends[i]!) }))
      .filter((p) => Number(p.weight) > 0);
    const peers = this.chance(0.6);
    this.scheme = {
      components: weighed.map((p) => (peers && this.chance(0.5) ? { ...p, peer: true } : p)),
      decimals: this.below(3),
      rounding: this.pick(rounding.values),
      ...(peers && {
        peers: { round: "r", low: this.pick(["0.85", "0.9", "0"]), high: this.pick(["1.1", "1.05", "2"]) },
      }),
      ...(this.chance(0.5) && {
        letters: ["A 90", "B 80", "C 62.5"].map((l) => ({ letter: l[0]!, from: l.slice(2) })),
      }),
      ...(this.chance(0.3) && { most: "100" }),
    };
  }
  private below = (n: number) => Math.floor(this.random() * n);
  private chance = (p: number) => this.random() < p;
  private pick = <T>(of: readonly T[]): T => of[this.below(of.length)]!;

  private parts(n: number, depth: number): SchemeNode[] {
    return Array.from({ length: n }, (): SchemeNode => {
      const key = `k${this.keys++}`;
      const part = { key, name: key, weight: this.pick(["1", "2", "3", "0.5", "33.3"]) };
      if (depth < 3 && this.chance(0.35)) {
        const parts = this.parts(1 + this.below(4), depth + 1);
        return { ...part, parts, drop: this.below(Math.min(3, parts.length)) };
      }
      const late = {
        perSession: this.pick(["10", "5", "2.5"]),
        grace: this.below(3),
        floor: this.pick(["0", "50", "60"]),
      };
      return { ...part, source: { kind: "entered" }, ...(this.chance(0.4) && { late }) };
    });
  }

  /** A share as a fraction, which the core gets in decimals; halves and thirds are frequent. */
  private share(): string {
    const of = this.pick([2, 3, 4, 6, 7, 8, 9, 20, 40, 100, 200]);
    return `${this.below(of + 1)}/${of}`;
  }
  private decimal(fraction: string): string {
    const [n, of] = fraction.split("/");
    return new Decimal(n!).div(of!).toSignificantDigits(15).toString();
  }

  private ratings(members: readonly string[], method: (typeof peerMethod.values)[number]): PeerRating[] {
    return members
      .filter(() => this.chance(0.85))
      .flatMap((rater) => {
        const others = members.filter((m) => m !== rater);
        const first = this.below(101);
        return others.map((ratee, i) => ({
          rater,
          ratee,
          value: String(method === "ratings" ? 1 + this.below(5) : i === 0 ? first : i === 1 ? 100 - first : 0),
        }));
      });
  }

  /** The class as the second program reads it, with the grades of the core. */
  written(): object {
    const method = this.pick(peerMethod.values);
    const teams = Array.from({ length: 1 + this.below(2) }, (_, t) => {
      const members = Array.from({ length: 2 + this.below(4) }, (_, i) => `s${t}${i}`);
      return { members, ratings: this.ratings(members, method) };
    });
    const found = new Map<string, Peer>(
      teams.flatMap((t) => {
        const members = t.members.map((id) => ({ id, name: id }));
        return peerFactors(method, members, t.ratings).map((f) => [f.id, f] as const);
      }),
    );
    const students = teams.flatMap((t) => t.members).map((id) => this.student(id, found.get(id)!));
    expect(checkScheme(this.scheme)).toEqual([]);
    return { scheme: this.scheme, method, teams, students };
  }

  private student(id: string, peer: Peer): object {
    const states = new Map<string, ComponentState>();
    const overrides = new Map<string, Override>();
    const facts = leavesOf(this.scheme.components).map(({ key }) => {
      const state = this.pick(["scored", "scored", "scored", "scored", "not due", "excused", "missing"] as const);
      const share = this.share();
      const late = this.pick([0, 0, 1, 2, 5]);
      const override = this.chance(0.08) ? this.share() : null;
      states.set(
        key,
        state === "scored" ? { state, share: this.decimal(share), late, working: nothing } : { state, note: "why" },
      );
      if (override) overrides.set(key, { share: this.decimal(override), reason: "why", by: "Mara" });
      return { key, state, share, late, override };
    });
    const { grade, letter } = gradeOf(this.scheme, states, overrides, { peer, explained: false }).value;
    return { id, name: id, facts, grade, letter };
  }
}

(has ? describe : describe.skip)("grades computed again by docs/recheck/grades.py", () => {
  let folder = "";
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), "ironstone-recheck-"));
  });
  afterEach(() => rmSync(folder, { recursive: true }));
  const again = (cases: object[]) => {
    const file = join(folder, "cases.json");
    writeFileSync(file, JSON.stringify(cases));
    return spawnSync("python3", ["-B", script, "--cases", file], { encoding: "utf8" });
  };

  test("are those of the core to the last digit: groups, drops, late rules, peers, roundings, letters", () => {
    const { stdout, stderr, status } = again(
      Array.from({ length: classes }, (_, i) => new Class(`class ${i}`).written()),
    );
    expect([stderr, stdout.split("\n").slice(-4), status]).toEqual([
      "",
      [expect.stringMatching(/^\d+ grades compared, 0 differ$/), ""],
      0,
    ]);
  }, 600_000);

  test("differ where one was changed, and the program says which", () => {
    const one = new Class("class 0").written() as { students: { grade: string | null }[] };
    one.students[0]!.grade = "1.5";
    const { stdout, status } = again([one]);
    expect([stdout, status]).toEqual([expect.stringMatching(/^class 1, s00: published 1\.5 .*computed /), 1]);
  });
});
