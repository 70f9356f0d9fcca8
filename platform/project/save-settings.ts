import "server-only";
import { command } from "@/platform/command/command";
import { projectActs } from "./acts";
import * as s from "./schema";
import { type Settings, settingsOf } from "./settings";

/** Changes some of a project's schools; the others stay. */
export const saveSettings = command({
  name: "saveSettings",
  act: projectActs.edit,
  schema: s.settings,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, { projectId, ...rest }) {
    const before = await settingsOf(projectId, sql);
    const given = Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined));
    await sql`UPDATE project SET settings = settings || ${sql.json(given as never)} WHERE id = ${projectId}`;
    audit({
      type: "settings",
      id: projectId,
      before: Object.fromEntries(Object.keys(given).map((k) => [k, before[k as keyof Settings]])),
      after: given,
    });
  },
});
