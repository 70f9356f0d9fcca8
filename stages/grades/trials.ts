import "server-only";
import Papa from "papaparse";
import type { InferType } from "yup";
import { refuse } from "@/platform/command/command";
import { db } from "@/platform/db/db";
import type { Trial } from "@/platform/registry/stage";
import { gradeActs } from "./acts";
import { effectOf, readScheme } from "./queries/effect";
import { gradebook } from "./queries/gradebook";
import { definition, marksText } from "./schema";
import { gridOf, unpacked } from "./view/gradebook";
import { importLook } from "./view/import-marks";

/** What a scheme would do to the class, while it is written. */
export const schemeTrial: Trial = {
  act: gradeActs.edit,
  schema: definition,
  async make({ projectId, today }, sent: InferType<typeof definition>) {
    return effectOf(projectId, today, await readScheme(db(), projectId, sent));
  },
};

/** What marks from a spreadsheet would change. */
export const marksTrial: Trial = {
  act: gradeActs.edit,
  schema: marksText,
  async make({ projectId, today }, { text }: InferType<typeof marksText>) {
    const book = await gradebook(projectId, today);
    if (!book.scheme) refuse("There is no grading scheme yet.");
    const { columns, students } = gridOf(book);
    const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, "").trim(), { skipEmptyLines: true });
    const cells = new Map(unpacked(students).map((s) => [s.id, s.cells]));
    return importLook(
      data,
      book.rows.map(({ student }) => ({ ...student, cells: cells.get(student.id)! })),
      columns,
    );
  },
};
