import type * as row from "@/platform/db/rows";
import "server-only";
import Papa from "papaparse";
import { readRoster } from "@/core/roster/roster";
import { command, refuse } from "@/platform/command/command";
import { newId, type Sql } from "@/platform/db/db";
import { peopleActs } from "../acts";
import type { RosterLook } from "../queries/roster";
import * as s from "../schema";
import { decodeText } from "../view";

const sectionsOf = (sql: Sql, projectId: string) =>
  sql<{ id: row.Section["id"]; name: row.Section["name"] }[]>`
    SELECT id, name
    FROM section
    JOIN project_section ps ON ps.section_id = id
    WHERE ps.project_id = ${projectId}
    ORDER BY name
  `;

/** What importing a roster would do; nothing is written. */
export const previewRoster = command({
  name: "previewRoster",
  act: peopleActs.edit,
  schema: s.rosterText,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<RosterLook> {
    const sections = await sectionsOf(sql, input.projectId);
    const { text, warning } = input.base64
      ? decodeText(Buffer.from(input.base64, "base64"))
      : { text: input.text, warning: null };
    if (text.includes("\u0000"))
      refuse(
        "This is not a text file. Save the spreadsheet as CSV (UTF-8) and choose that file, or copy the " +
          "cells and paste them.",
        "text",
      );
    const cells = Papa.parse<string[]>(text.replace(/^\ufeff/, "").trim(), {
      delimiter: text.includes("\t") ? "\t" : "",
    }).data;
    const preview = readRoster(
      text.trim() === "" ? [] : cells,
      sections.map((x) => x.name),
    );
    const known = preview.rows.length
      ? (
          await sql<{ n: number }[]>`
            SELECT count(*)::int AS n
            FROM enrolment e
            JOIN person p ON p.id = e.person_id
            JOIN section c ON c.id = e.section_id
            JOIN project_section ps ON ps.section_id = c.id
            WHERE ps.project_id = ${input.projectId}
              AND e.to_on IS NULL
              AND (
                c.name || '/' || lower(p.name)
              ) IN ${sql(preview.rows.map((r) => `${r.section}/${r.name.toLowerCase()}`))}
          `
        )[0]!.n
      : 0;
    audit({ type: "roster", label: `looked at ${preview.rows.length} rows` });
    return { ...preview, warning, known };
  },
});

/** Enrols the rows of a roster, all or none; people already in a section are left as they are. */
export const importRoster = command({
  name: "importRoster",
  act: peopleActs.edit,
  schema: s.rosterRows,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ added: number }> {
    const sections = new Map((await sectionsOf(sql, input.projectId)).map((x) => [x.name, x.id]));
    const present = new Set(
      (
        await sql<{ k: string }[]>`
          SELECT e.section_id || '/' || lower(p.name) AS k
          FROM enrolment e
          JOIN person p ON p.id = e.person_id
          WHERE e.section_id IN ${sql([...sections.values(), newId()])} AND e.to_on IS NULL
        `
      ).map((r) => r.k),
    );
    const fresh = input.rows.flatMap((r) => {
      const sectionId = sections.get(r.section);
      if (!sectionId) refuse(`There is no section “${r.section}”. Nobody was imported.`);
      return present.has(`${sectionId}/${r.name.toLowerCase()}`) ? [] : [{ ...r, sectionId, id: newId() }];
    });
    if (fresh.length) {
      await sql`INSERT INTO person ${sql(fresh.map((r) => ({ id: r.id, name: r.name, email: r.email || null })))}`;
      await sql`
        INSERT INTO enrolment ${sql(fresh.map((r) => ({ id: newId(), sectionId: r.sectionId, personId: r.id })))}
      `;
    }
    audit({
      type: "roster",
      label: `${fresh.length} students`,
      after: fresh.map((r) => ({ name: r.name, section: r.section })),
    });
    return { added: fresh.length };
  },
});
