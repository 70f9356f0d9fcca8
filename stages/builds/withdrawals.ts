import type * as row from "@/platform/db/rows";
import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { buildActs } from "./acts";
import { ofBuild } from "./queries/builds";
import { ofFailure } from "./queries/failures";
import { ofPart } from "./queries/parts";
import { ofPiece } from "./queries/pieces";

/** A build goes with its runs and pictures; reviews of it stay, and name it again when it is back. */
export const withdrawBuild = withdrawal({
  name: "withdrawBuild",
  kind: "build",
  table: "build",
  act: buildActs.withdraw,
  label: "(SELECT name FROM team WHERE id = x.team_id) || ' G' || x.number",
  takes: ["run"],
  loosens: ["review.build_id"],
  held: { entry: "This build is entered in the contest. Let the team enter with another build there first." },
  needsReason: true,
});

export const removePhoto = withdrawal({
  name: "removePhoto",
  kind: "photo",
  table: "file_use",
  act: buildActs.edit,
  async subject(sql, id) {
    const [u] = await sql<
      { buildId: row.FileUse["buildId"] }[]
    >`SELECT build_id FROM file_use WHERE id = ${id} AND build_id IS NOT NULL`;
    return u?.buildId ? ofBuild(sql, u.buildId) : null;
  },
  label:
    "(SELECT t.name || ' G' || b.number FROM build b JOIN team t ON t.id = b.team_id WHERE b.id = x.build_id) " +
    "|| CASE x.caption WHEN '' THEN '' ELSE ': ' || x.caption END",
});

export const withdrawFailure = withdrawal({
  name: "withdrawFailure",
  kind: "failure",
  table: "failure",
  act: buildActs.edit,
  subject: ofFailure,
  label: "x.mode",
});

export const withdrawPartLine = withdrawal({
  name: "withdrawPartLine",
  kind: "part",
  table: "part_line",
  act: buildActs.edit,
  subject: ofPart,
  label: "x.name",
  loosens: ["piece.part_id"],
});

export const withdrawPiece = withdrawal({
  name: "withdrawPiece",
  kind: "piece",
  table: "piece",
  act: buildActs.edit,
  subject: ofPiece,
  label: "x.name",
  loosens: ["file_use.piece_id"],
});
