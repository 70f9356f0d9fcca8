import { checkScheme, type SchemeDefinition } from "@/core/grades/scheme";
import { fits, ofProject, type Table } from "@/platform/registry/table";
import { scheme } from "./schema";

export const gradesTables: readonly Table[] = [
  ofProject("scheme_version", {
    check: {
      definition: fits(scheme.pick(["components", "decimals"]), (v) => checkScheme(v as unknown as SchemeDefinition)),
    },
  }),
  ofProject("entered_mark", { people: ["person_id"], erase: ["DELETE FROM entered_mark WHERE person_id = :person"] }),
  ofProject("publication", {
    erase: [
      `UPDATE publication
       SET ledger = (
         SELECT jsonb_agg(
           CASE
             WHEN x->>'personId' = :person::text
             THEN x || jsonb_build_object('name', :words::text, 'grade', null, 'components', '[]'::jsonb)
             ELSE x
           END
         )
         FROM jsonb_array_elements(ledger) x
       )
       WHERE ledger @> jsonb_build_array(jsonb_build_object('personId', :person::text))`,
    ],
  }),
];
