import { randomUUID } from "node:crypto";
import sharp from "sharp";
import { today } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import { recordRun } from "@/stages/bench/commands/runs";
import { checkSafety } from "@/stages/bench/commands/safety";
import { importRoster } from "@/stages/people/commands/roster";
import { studentsOf } from "@/stages/people/queries/students";
import { lift, type pumpOf } from "./model";
import { at, run } from "./run";

export const dates = (day: (week: number, d: number) => string) =>
  `\n## Dates\n\n- Drawing handed in: ${day(3, 3)}\n- First review: ${day(5, 3)}\n- Final review, ` +
  `client present: ${day(9, 1)}\n- Contest: ${day(10, 4)}\n`;

export const requirement = (
  projectId: string,
  statement: string,
  priority: string,
  kind: string,
  measure: string,
  comparator: string,
  unit: string,
  target: string,
  method: string,
  source: string,
  extra: object = {},
) => ({ projectId, statement, priority, kind, measure, comparator, unit, target, method, source, ...extra });

export async function roster(
  projectId: string,
  who: string,
  rows: { name: string; section: string; email?: string }[],
) {
  await run(importRoster, who, { projectId, rows });
  return new Map((await studentsOf(projectId)).map((s) => [s.name, s.id]));
}

export async function sketch(words: string, hue: number): Promise<string> {
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="640"><rect width="900" height="640" ` +
    `fill="#efe7d8"/><g fill="none" stroke="hsl(${hue} 30% 30%)" stroke-width="9" ` +
    `stroke-linecap="round"><path d="M180 560h540M230 560V250h110v310M285 250V150M285 150h330M615 ` +
    `150v90M340 470h170V300h130"/><path d="M255 330h60M255 345h60" stroke-width="14"/><circle cx="430" ` +
    `cy="150" r="14" fill="#efe7d8"/></g><text x="180" y="92" font-family="sans-serif" font-size="38" ` +
    `fill="#3a332b">${words.replace(/&/g, "&amp;")}</text></svg>`;
  return (await sharp(Buffer.from(svg)).png().toBuffer()).toString("base64");
}

export const scheme = (review: string, measure: object, milestone: string, points?: string) => [
  { key: "review", name: review, weight: "40", source: { kind: "rubric", review } },
  {
    key: "performance",
    name: "Performance",
    weight: "30",
    source: {
      kind: "points",
      full: "100",
      measure,
      rule: {
        kind: "line",
        anchors: [
          ["2", "0"],
          ["4", "50"],
          ["6", "70"],
          ["8", "90"],
          ["9", "100"],
        ].map(([at0, points]) => ({ at: at0, points })),
      },
    },
  },
  { key: "drawing", name: "Drawing on time", weight: "10", source: { kind: "milestone", milestone } },
  {
    key: "notebook",
    name: "Notebook",
    weight: "20",
    source: { kind: "entered", ...(points && { scale: { kind: "points", of: points } }) },
  },
];

const begun = new Set<string>();

/** Ticks the safety check before a team's first run of the day under a protocol. */
export async function begin(who: string, buildId: string, protocolVersionId: string): Promise<void> {
  const [x] = await db()<{ projectId: string; teamId: string; protocolId: string; cautions: string[] }[]>`
    SELECT b.project_id, b.team_id, v.protocol_id, v.definition -> 'safety' AS cautions
    FROM build b, protocol_version v
    WHERE b.id = ${buildId} AND v.id = ${protocolVersionId}
  `;
  const key = `${protocolVersionId} ${x!.teamId} ${today()}`;
  if (begun.has(key) || !x!.cautions.length) return;
  await run(checkSafety, who, x);
  begun.add(key);
}

export async function measure(
  who: string,
  buildId: string,
  protocolVersionId: string,
  pump: ReturnType<typeof pumpOf>,
  rnd: () => number,
  date: string,
  i: number,
  height = 1.6,
  foul = false,
): Promise<string> {
  const id = randomUUID();
  await at(date, 10 + Math.floor(i / 6), 5 + i * 7);
  await begin(who, buildId, protocolVersionId);
  const r = lift(pump, rnd, { height });
  await run(
    recordRun,
    who,
    foul
      ? { id, buildId, protocolVersionId, state: "no_finish", reason: "it jammed", readings: {}, conditions: {} }
      : {
          id,
          buildId,
          protocolVersionId,
          readings: { m: r.collected, F: r.force, s: r.stroke },
          conditions: { h: height.toFixed(2), n: (59 + rnd() * 2).toFixed(1), Tw: `${(17 + rnd() * 4).toFixed(1)} °C` },
        },
  );
  return id;
}
