import type * as row from "@/platform/db/rows";
import "server-only";
import { checkRubric, type RubricDefinition } from "@/core/sheet/sheet";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { reviewActs } from "../acts";
import { ofReview } from "../queries/reviews";
import * as s from "../schema";
import { reviewTemplates } from "../view/review-templates";
import { rubricShelf } from "../view/rubric-shelf";

export const saveRubric = command({
  name: "saveRubric",
  act: reviewActs.plan,
  schema: s.rubric,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string; number: number }> {
    const definition: RubricDefinition = { criteria: input.criteria };
    const problems = checkRubric(definition);
    if (new Set(input.criteria.map((x) => x.key)).size < input.criteria.length)
      problems.push("Two criteria have the same key.");
    if (problems.length) refuse(problems.join(" "));
    let { id } = input;
    let number = 1;
    if (id) {
      const [r] = await sql<{ version: number; name: string; n: number }[]>`
        SELECT version, name, (SELECT max(number) FROM rubric_version WHERE rubric_id = r.id) AS n
        FROM rubric r
        WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(r, "This rubric"), input.version, { name: "Name" }, input, r!);
      number = r!.n + 1;
      await sql`UPDATE rubric SET name = ${input.name}, version = version + 1 WHERE id = ${id}`;
    } else {
      id = newId();
      await sql`INSERT INTO rubric (id, project_id, name) VALUES (${id}, ${input.projectId}, ${input.name})`;
    }
    await sql`
      INSERT INTO rubric_version (id, rubric_id, number, definition, created_by)
      VALUES (${newId()}, ${id}, ${number}, ${sql.json(definition as never)}, ${by})
    `;
    audit({ type: "rubric", id, label: `${input.name} v${number}`, after: definition });
    return { id, number };
  },
});

/** The current version of a rubric; without one, of the shelf's, which the project gets where it has none like it. */
async function rubricFor(
  sql: Tx,
  projectId: string,
  rubricId: string | undefined,
  shelf: string,
  by: string,
): Promise<string> {
  const [v] = await sql<{ id: row.RubricVersion["id"] }[]>`
    SELECT v.id
    FROM rubric r
    JOIN rubric_version v ON v.rubric_id = r.id
    WHERE r.project_id = ${projectId} AND ${rubricId ? sql`r.id = ${rubricId}` : sql`r.name = ${shelf}`}
    ORDER BY v.number DESC
    LIMIT 1
  `;
  if (v) return v.id;
  const template = rubricShelf.find((r) => r.name === shelf);
  if (rubricId || !template) refuse("This rubric does not exist (any more).");
  const [rubric, version] = [newId(), newId()];
  const definition: RubricDefinition = { criteria: template.criteria };
  await sql`INSERT INTO rubric (id, project_id, name) VALUES (${rubric}, ${projectId}, ${shelf})`;
  await sql`
    INSERT INTO rubric_version (id, rubric_id, number, definition, created_by)
    VALUES (${version}, ${rubric}, 1, ${sql.json(definition as never)}, ${by})
  `;
  return version;
}

/** Plans one review a team, each of the team's newest build, under the rubric's current version. */
export const planReviews = command({
  name: "planReviews",
  act: reviewActs.plan,
  schema: s.planReviews,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ count: number }> {
    const template = reviewTemplates[input.kind];
    const versionId = await rubricFor(sql, input.projectId, input.rubricId, template.rubric, by);
    const teams = await sql<{ id: row.Team["id"]; buildId: string | null }[]>`
      SELECT t.id, (SELECT b.id FROM build b WHERE b.team_id = t.id ORDER BY b.number DESC LIMIT 1) AS build_id
      FROM team t
      WHERE t.project_id = ${input.projectId} AND t.retired_at IS NULL AND t.id IN ${sql(input.teamIds)}
    `;
    if (teams.length !== new Set(input.teamIds).size) refuse("One of the teams is not in this project (any more).");
    await sql`
      INSERT INTO review ${sql(
        teams.map((t) => ({
          id: newId(),
          projectId: input.projectId,
          title: input.title,
          heldOn: input.heldOn,
          teamId: t.id,
          buildId: t.buildId,
          rubricVersionId: versionId,
          kind: input.kind,
          takesPart: input.takesPart,
          packet: [...template.packet],
        })),
      )}
    `;
    audit({ type: "review", label: `${input.title}, ${teams.length} teams`, after: { heldOn: input.heldOn } });
    return { count: teams.length };
  },
});

/** Moves a review to another day, gives it another name, or another build of its team; who decided why is kept. */
export const editReview = command({
  name: "editReview",
  act: reviewActs.plan,
  schema: s.editReview,
  subject: (sql, i) => ofReview(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<
      {
        version: row.Review["version"];
        title: row.Review["title"];
        heldOn: row.Review["heldOn"];
        teamId: row.Review["teamId"];
        buildId: row.Review["buildId"];
        decided: boolean;
      }[]
    >`
      SELECT version, title, held_on, team_id, build_id, verdict IS NOT NULL AS decided
      FROM review
      WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(r, "This review"), input.version, { title: "Review", heldOn: "Held on" }, input, r!);
    const buildId = input.buildId ?? null;
    if (buildId)
      found(
        (await sql`SELECT FROM build WHERE id = ${buildId} AND team_id = ${r!.teamId}`)[0],
        "This build of the team",
      );
    if (r!.decided && buildId !== r!.buildId)
      refuse("The verdict was given on the other build. Take the verdict back first.", "buildId");
    await sql`
      UPDATE review
      SET
        title = ${input.title}, held_on = ${input.heldOn}, build_id = ${buildId}, build_chosen = ${buildId !== null},
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "review",
      id: input.id,
      label: input.title,
      before: r,
      after: { title: input.title, heldOn: input.heldOn, buildId },
      reason: input.reason || undefined,
    });
  },
});

/** Picks what a team's packet shows, and puts it in order. */
export const arrangePacket = command({
  name: "arrangePacket",
  act: reviewActs.arrange,
  schema: s.arrangePacket,
  subject: (sql, i) => ofReview(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<Pick<row.Review, "title" | "packet" | "packetLeft">[]>`
      SELECT title, packet, packet_left FROM review WHERE id = ${input.id} FOR UPDATE
    `;
    const told = (parts: readonly string[], left: readonly string[]) => ({
      parts: parts.join(", ") + (left.length ? `, without ${left.length}` : ""),
    });
    // The review itself stays as it is: its own version is for its verdict and its day.
    const now = found(r, "This review");
    const same = now.packet.join() === input.was.join() && now.packetLeft.join() === input.wasLeft.join();
    const labels = { parts: "What is shown" };
    checkVersion({ version: same ? 1 : 2 }, 1, labels, told(input.parts, input.left), told(now.packet, now.packetLeft));
    const parts = [...new Set(input.parts)];
    const left = [...new Set(input.left)];
    await sql`UPDATE review SET packet = ${parts}, packet_left = ${left} WHERE id = ${input.id}`;
    audit({
      type: "review",
      id: input.id,
      label: now.title,
      before: { packet: now.packet, left: now.packetLeft },
      after: { packet: parts, left },
    });
  },
});
