import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { contestActs } from "../acts";
import { toCopy } from "../queries/copied";
import { ofEvent } from "../queries/whose";
import * as s from "../schema";
import { enterTeams } from "./events";

/** Copies events with their rules from the edition before; each is to be read and ticked before it is scored. */
export const copyEvents = command({
  name: "copyEvents",
  act: contestActs.edit,
  schema: s.copyEvents,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const before = await toCopy(input.projectId, sql);
    for (const wanted of input.ids) {
      const e = found(
        before.find((x) => x.id === wanted),
        "This event of the edition before",
      );
      if (e.hinders === "name") refuse(`There is an event named ${e.name} already.`, "ids");
      if (e.hinders === "protocol")
        refuse(`${e.name} is measured under ${e.protocol}: write that protocol first.`, "ids");
      const id = newId();
      await sql`SELECT copy_event(${e.id}, ${id}, ${input.projectId}, ${e.protocolVersionId})`;
      await enterTeams(sql, input.projectId, id);
      audit({ type: "event", id, label: `${e.name}, copied from ${e.edition}` });
    }
  },
});

/** The rules of a copied event were read, and hold: it may be scored. */
export const tickRules = command({
  name: "tickRules",
  act: contestActs.edit,
  schema: s.eventVersion,
  subject: (sql, i) => ofEvent(sql, i.id),
  async run({ sql, audit }, input) {
    const [e] = await sql<
      Pick<row.Event, "version" | "name" | "copied">[]
    >`SELECT version, name, copied FROM event WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(e, "This event"), input.version, {}, {}, {});
    if (!e!.copied) refuse("Its rules are ticked already.");
    await sql`UPDATE event SET copied = false, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "event", id: input.id, label: `${e!.name}: rules read and ticked` });
  },
});
