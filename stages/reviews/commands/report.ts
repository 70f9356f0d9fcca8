import type * as row from "@/platform/db/rows";
import "server-only";
import { drawOrder } from "@/core/draw/draw";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { reviewActs } from "../acts";
import * as s from "../schema-story";

/** Adds topics to the class report. */
export const addTopics = command({
  name: "addTopics",
  act: reviewActs.plan,
  schema: s.addTopics,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, { projectId, titles }): Promise<{ count: number }> {
    const [last] = await sql<{ place: number }[]>`
      SELECT coalesce(max(place), 0) AS place FROM report_topic WHERE project_id = ${projectId}
    `;
    await sql`
      INSERT INTO report_topic ${sql(
        titles.map((title, i) => ({ id: newId(), projectId, title, place: last!.place + i + 1 })),
      )}
    `;
    audit({ type: "class report", label: `${titles.length} topics`, after: titles });
    return { count: titles.length };
  },
});

/** Deals the topics that nobody has written to the teams: those with the fewest first, in an order drawn by a seed. */
export const dealTopics = command({
  name: "dealTopics",
  act: reviewActs.plan,
  schema: s.dealTopics,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, { projectId, seed }): Promise<{ count: number }> {
    const topics = await sql<Pick<row.ReportTopic, "id" | "teamId" | "body">[]>`
      SELECT id, team_id, body FROM report_topic WHERE project_id = ${projectId} ORDER BY place, id FOR UPDATE
    `;
    const teams = await sql<Pick<row.Team, "id" | "name">[]>`
      SELECT id, name FROM team WHERE project_id = ${projectId} AND retired_at IS NULL ORDER BY name, id
    `;
    if (!teams.length) refuse("There is no team to deal topics to.");
    const free = topics.filter((t) => !t.body);
    if (!free.length) refuse("Every topic is being written already.");
    const load = new Map<string, number>(
      teams.map((t) => [t.id, topics.filter((x) => x.body && x.teamId === t.id).length]),
    );
    const order = drawOrder(
      teams.map((t) => t.id as string),
      seed,
    );
    for (const topic of free) {
      const least = Math.min(...load.values());
      const teamId = order.find((t) => load.get(t) === least)!;
      load.set(teamId, least + 1);
      await sql`UPDATE report_topic SET team_id = ${teamId}, version = version + 1 WHERE id = ${topic.id}`;
    }
    audit({ type: "class report", label: `dealt with seed ${seed}`, after: { topics: free.length } });
    return { count: free.length };
  },
});

/** A topic's project, and its team where it was dealt to one. */
const ofTopic = async (sql: Tx, id: string) => {
  const [x] = await sql<Pick<row.ReportTopic, "projectId" | "teamId">[]>`
    SELECT project_id, team_id FROM report_topic WHERE id = ${id}
  `;
  return x ? { project: x.projectId, team: x.teamId ?? undefined } : null;
};

/** Names a topic anew, or gives it to another team; what is written stays. */
export const editTopic = command({
  name: "editTopic",
  act: reviewActs.plan,
  schema: s.editTopic,
  subject: (sql, i) => ofTopic(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<Pick<row.ReportTopic, "title" | "teamId" | "version" | "projectId">[]>`
      SELECT title, team_id, version, project_id FROM report_topic WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(x, "This topic"), input.version, { title: "Topic" }, input, x!);
    const teamId = input.teamId ?? null;
    if (teamId)
      found(
        (await sql`SELECT FROM team WHERE id = ${teamId} AND project_id = ${x!.projectId} AND retired_at IS NULL`)[0],
        "This team",
      );
    await sql`
      UPDATE report_topic SET title = ${input.title}, team_id = ${teamId}, version = version + 1 WHERE id = ${input.id}
    `;
    audit({ type: "class report", id: input.id, label: input.title, before: x, after: { teamId } });
  },
});

/** Writes a team's topic of the class report. */
export const writeTopic = command({
  name: "writeTopic",
  act: reviewActs.tell,
  schema: s.writeTopic,
  subject: (sql, i) => ofTopic(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [x] = await sql<Pick<row.ReportTopic, "title" | "body" | "version">[]>`
      SELECT title, body, version FROM report_topic WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(x, "This topic"), input.version, { body: "Text" }, input, x!);
    await sql`
      UPDATE report_topic
      SET body = ${input.body}, written_by = ${by}, written_at = app_now(), version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "class report",
      id: input.id,
      label: x!.title,
      before: { body: x!.body },
      after: { body: input.body },
    });
  },
});

export const withdrawTopic = withdrawal({
  name: "withdrawTopic",
  kind: "topic of the report",
  table: "report_topic",
  act: reviewActs.plan,
  label: "x.title",
});
