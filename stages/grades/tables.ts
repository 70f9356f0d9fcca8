import { outlineOf } from "@/core/grades/outline";
import { checkScheme, type SchemeDefinition } from "@/core/grades/scheme";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { definition } from "./schema";

/** What is wrong with a stored scheme: its fields as an outline, then what they say together. */
function checkStored(value: unknown): string | null {
  const stored = value as SchemeDefinition;
  if (!Array.isArray(stored?.components)) return "A scheme has components.";
  const typed = fits(definition)({ ...stored, components: outlineOf(stored.components) });
  return typed ?? (checkScheme(stored).join(" ") || null);
}

export const gradesTables: readonly Table[] = [
  ofProject("scheme_version", { check: { definition: checkStored } }),
  ofProject("entered_mark", { people: ["person_id"], erase: ["DELETE FROM entered_mark WHERE person_id = :person"] }),
  ofProject("extension", { people: ["person_id"], erase: ["DELETE FROM extension WHERE person_id = :person"] }),
  ofProject("peer_round"),
  ofParent("peer_rating", "round_id", "peer_round", {
    people: ["rater_id", "ratee_id"],
    erase: ["DELETE FROM peer_rating WHERE :person IN (rater_id, ratee_id)"],
  }),
  ofProject("publication", {
    erase: [
      `UPDATE publication
       SET ledger = (
         SELECT jsonb_agg(
           CASE
             WHEN x->>'personId' = :person::text
             THEN jsonb_build_object(
               'personId', :person::text, 'name', :words::text, 'section', x->'section', 'team', x->'team',
               'grade', null, 'components', '[]'::jsonb, 'working', null
             )
             ELSE x
           END
         )
         FROM jsonb_array_elements(ledger) x
       )
       WHERE ledger @> jsonb_build_array(jsonb_build_object('personId', :person::text))`,
    ],
  }),
  ofProject("appeal", { people: ["person_id"], erase: ["DELETE FROM appeal WHERE person_id = :person"] }),
];
