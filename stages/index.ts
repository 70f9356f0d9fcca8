import "server-only";
import type { Stage } from "@/platform/registry/stage";
import { bench } from "./bench/stage";
import { brief } from "./brief/stage";
import { builds } from "./builds/stage";
import { concepts } from "./concepts/stage";
import { contest } from "./contest/stage";
import { grades } from "./grades/stage";
import { handbook } from "./handbook/stage";
import { needs } from "./needs/stage";
import { notebook } from "./notebook/stage";
import { people } from "./people/stage";
import { plan } from "./plan/stage";
import { records } from "./records/stage";
import { reviews } from "./reviews/stage";
import { shop } from "./shop/stage";
import { teams } from "./teams/stage";
import { templates } from "./templates/stage";
import { today } from "./today/stage";

/** Every stage, in the order of the work: the one list that the rest of the program reads. */
export const stages: readonly Stage[] = [
  brief,
  needs,
  concepts,
  teams,
  builds,
  bench,
  reviews,
  grades,
  contest,
  records,
  plan,
  shop,
  notebook,
  handbook,
  people,
  today,
  templates,
];
