/** The ten stages of a project, in the order of the work, with the sessions that each usually takes of thirty. */
export const stages = [
  { key: "brief", name: "Brief", usual: 2 },
  { key: "needs", name: "Needs", usual: 3 },
  { key: "concepts", name: "Concepts", usual: 3 },
  { key: "teams", name: "Teams", usual: 1 },
  { key: "builds", name: "Builds", usual: 7 },
  { key: "bench", name: "Bench", usual: 6 },
  { key: "reviews", name: "Reviews", usual: 3 },
  { key: "grades", name: "Grades", usual: 1 },
  { key: "contest", name: "Contest", usual: 3 },
  { key: "records", name: "Records", usual: 1 },
] as const;
export type StageKey = (typeof stages)[number]["key"];

/**
 * Sessions planned for each stage: the usual shares scaled to a number of sessions, at least one each, rounded by
 * largest remainders.
 * @example planStages(30).builds // => 7
 */
export function planStages(sessions: number): Record<StageKey, number> {
  const total = stages.reduce((s, x) => s + x.usual, 0);
  const spare = Math.max(0, sessions - stages.length);
  const raw = stages.map((x) => ({ key: x.key, exact: 1 + ((x.usual - 1) / (total - stages.length)) * spare }));
  const out = Object.fromEntries(raw.map((r) => [r.key, Math.floor(r.exact)])) as Record<StageKey, number>;
  let left = Math.max(sessions, stages.length) - raw.reduce((s, r) => s + Math.floor(r.exact), 0);
  for (const r of [...raw].sort((a, b) => (b.exact % 1) - (a.exact % 1))) if (left-- > 0) out[r.key]++;
  return out;
}
