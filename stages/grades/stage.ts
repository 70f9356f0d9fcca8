import { gradeWorking } from "./workings";
import "server-only";
import type { HomePart, Stage, Stratum } from "@/platform/registry/stage";
import { gradeActs } from "./acts";
import * as marks from "./commands/marks";
import * as publish from "./commands/publish";
import * as scheme from "./commands/scheme";
import { gradebookTable } from "./gradebook-table";

const stratum: Stratum = {
  columns: (sql, p) => sql`(SELECT count(*)::int FROM publication WHERE project_id = ${p}) AS publications`,
  line(row) {
    const n = row.publications as number;
    return [n > 0 ? 1 : 0, n === 0 ? "not published" : `published ${n === 1 ? "once" : `${n} times`}`];
  },
};

const home: HomePart = {
  columns: (sql, student) => sql`
    (
      SELECT max(number)
      FROM publication
      WHERE project_id = p.id AND ledger @> jsonb_build_array(jsonb_build_object('personId', ${student.id}::text))
    ) AS published
  `,
  items: ({ published }) =>
    published ? [{ what: "My grade", note: `version ${published} is published`, path: "/grades", rank: 4 }] : [],
};

export const grades: Stage = {
  key: "grades",
  name: "Grades",
  pages: [{ label: "Grades", path: "/grades" }],
  shows: ["grade", "review", "milestone", "run", "contest", "people"],
  commands: [marks, publish, scheme],
  stratum,
  home,
  workings: { grade: gradeWorking },
  downloads: { gradebook: { act: gradeActs.readAll, make: gradebookTable } },
};
