import { type Criterion, checkRubric, type RubricDefinition } from "./sheet";

/** What stands behind a criterion by which each member is marked alone. */
const alone = "(each alone)";

/**
 * A rubric as rows for a spreadsheet: a heading, then a row a criterion with its weight and its levels, each as points
 * and what it takes.
 * @example
 * rubricRows({
 *   criteria: [
 *     {
 *       key: "a",
 *       name: "Idea",
 *       weight: "2",
 *       levels: [
 *         { points: "0", descriptor: "none" },
 *         { points: "4", descriptor: "argued" },
 *       ],
 *     },
 *   ],
 * })
 * // => [["Criterion", "Weight", "Level 1", "Level 2"], ["Idea", "2", "0 none", "4 argued"]]
 */
export function rubricRows(rubric: RubricDefinition): string[][] {
  const most = Math.max(0, ...rubric.criteria.map((c) => c.levels.length));
  return [
    ["Criterion", "Weight", ...Array.from({ length: most }, (_, i) => `Level ${i + 1}`)],
    ...rubric.criteria.map((c) => [
      `${c.name}${c.individual ? ` ${alone}` : ""}`,
      c.weight,
      ...c.levels.map((l) => `${l.points}${l.descriptor && ` ${l.descriptor}`}`),
    ]),
  ];
}

/**
 * A rubric from the rows of a spreadsheet, or what is wrong with them in words; a decimal comma is read as a point.
 * @example readRubric([["Criterion", "Weight", "Level 1"], ["Idea", "1", "none"]])
 * // => { wrong: "Row 2, Idea: a level begins with its points, like 3 sound; “none” does not." }
 */
export function readRubric(rows: readonly (readonly string[])[]): RubricDefinition | { wrong: string } {
  const [head, ...lines] = rows.filter((r) => r.some((x) => x.trim()));
  const first = head?.[0]?.trim().toLowerCase();
  if (first !== "criterion" || !lines.length)
    return { wrong: "The first row is Criterion, Weight, Level 1, Level 2 and so on; a row a criterion follows." };
  const criteria: Criterion[] = [];
  for (const [i, line] of lines.entries()) {
    const [name = "", weight = "", ...levels] = line.map((x) => x.trim());
    const where = `Row ${i + 2}${name && `, ${name}`}`;
    if (!name) return { wrong: `${where}: a criterion has a name.` };
    const read = levels.filter(Boolean).map((text) => {
      const [, points, descriptor] = /^(\d+(?:[.,]\d+)?)[\s:–-]*(.*)$/s.exec(text) ?? [];
      return points === undefined ? text : { points: points.replace(",", "."), descriptor: descriptor ?? "" };
    });
    const bad = read.find((l) => typeof l === "string");
    if (bad !== undefined)
      return { wrong: `${where}: a level begins with its points, like 3 sound; “${bad}” does not.` };
    const individual = name.toLowerCase().endsWith(alone);
    criteria.push({
      key: `c${i + 1}`,
      name: individual ? name.slice(0, -alone.length).trim() : name,
      ...(individual && { individual }),
      weight: weight.replace(",", ".") || "1",
      levels: read.flatMap((l) => (typeof l === "string" ? [] : [l])),
    });
  }
  const wrong = checkRubric({ criteria });
  return wrong.length ? { wrong: wrong.join(" ") } : { criteria };
}
