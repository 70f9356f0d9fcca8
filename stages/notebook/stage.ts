import "server-only";
import { shortDate } from "@/platform/pages/dates";
import type { HomePart, Stage } from "@/platform/registry/stage";
import * as commands from "./commands";
import * as countersigned from "./countersigned";
import * as pictures from "./pictures";
import * as reading from "./reading";
import * as withdrawals from "./withdrawals";

const home: HomePart = {
  columns: (sql, me) => sql`
    (SELECT max(on_date)::text FROM notebook_entry WHERE project_id = p.id AND person_id = ${me.id}) AS last_entry
  `,
  about(row, today) {
    const last = row.lastEntry as string | null;
    const text = last === today ? "written today" : last ? `last entry ${shortDate(last)}` : "write the first entry";
    return [{ label: "Notebook", text, path: "/notebook" }];
  },
};

export const notebook: Stage = {
  key: "notebook",
  name: "Notebook",
  pages: [{ label: "Notebook", path: "/notebook" }],
  shows: ["notebook"],
  commands: [commands, countersigned, pictures, reading, withdrawals],
  below: "everyone",
  home,
};
