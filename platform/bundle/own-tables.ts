import { pictureMarks } from "../files/schema";
import { fits, ofParent, ofProject, type Table } from "../registry/table";

/** Tables that belong to no stage. */
export const ownTables: readonly Table[] = [
  { name: "file", of: "hash IN (SELECT file_hash FROM file_use WHERE project_id = $1)", omit: ["content"] },
  ofProject("file_use", { check: { marks: fits(pictureMarks) } }),
  ofProject("draw"),
  ofProject("evidence"),
  ofProject("audit"),
  // A bundle carries what stands; what was withdrawn stays where it was, and in backups.
  ofProject("withdrawn", { stays: true, erase: ["DELETE FROM withdrawn WHERE person_id = :person"] }),
  ofParent("withdrawn_row", "withdrawn_id", "withdrawn", {
    stays: true,
    erase: [
      `DELETE FROM withdrawn_row
       WHERE content->>'person_id' = :person::text
         OR (jsonb_typeof(content->'people') = 'array' AND content->'people' ? :person::text)`,
      `UPDATE withdrawn_row
       SET content = jsonb_set(content, '{assignment}', (content->'assignment') - :person::text)
       WHERE jsonb_typeof(content->'assignment') = 'object' AND content->'assignment' ? :person::text`,
      `UPDATE withdrawn_row SET content = jsonb_set(content, '{rater_person}', 'null')
       WHERE content->>'rater_person' = :person::text`,
    ],
  }),
];
