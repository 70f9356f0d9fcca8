import type * as row from "@/platform/db/rows";
import "server-only";
import Papa from "papaparse";
import { standing } from "@/core/roster/present";
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

/** For each row whether that student is in the section already. */
async function hereAlready(
  sql: Sql,
  sections: readonly { id: string; name: string }[],
  rows: readonly { name: string; section: string; email: string | null }[],
): Promise<boolean[]> {
  const present = sections.length
    ? await sql<{ name: row.Person["name"]; email: row.Person["email"]; sectionId: row.Enrolment["sectionId"] }[]>`
        SELECT p.name, p.email, e.section_id
        FROM enrolment e
        JOIN person p ON p.id = e.person_id
        WHERE e.section_id IN ${sql(sections.map((x) => x.id))} AND e.to_on IS NULL
      `
    : [];
  const known = new Set(
    sections.flatMap((s) => {
      const mine = rows.filter((r) => r.section === s.name);
      const stands = standing(
        mine,
        present.filter((p) => p.sectionId === s.id),
      );
      return mine.filter((_, i) => stands[i]);
    }),
  );
  return rows.map((r) => known.has(r));
}

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
    const known = (await hereAlready(sql, sections, preview.rows)).filter(Boolean).length;
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
    const sections = await sectionsOf(sql, input.projectId);
    const rows = input.rows.map((r) => ({ ...r, email: r.email?.toLowerCase() || null }));
    const here = await hereAlready(sql, sections, rows);
    const fresh = rows.flatMap((r, i) => {
      const section = sections.find((x) => x.name === r.section);
      if (!section) refuse(`There is no section “${r.section}”. Nobody was imported.`);
      return here[i] ? [] : [{ ...r, sectionId: section.id, id: newId() }];
    });
    if (fresh.length) {
      await sql`INSERT INTO person ${sql(fresh.map((r) => ({ id: r.id, name: r.name, email: r.email })))}`;
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
