import * as boxed from "./boxed";
import * as builds from "./builds";
import * as classroom from "./classroom";
import * as concepts from "./concepts";
import * as contest from "./contest";
import * as flags from "./flags";
import * as grades from "./grades";
import * as handbook from "./handbook";
import * as instruments from "./instruments";
import * as needs from "./needs";
import * as project from "./project";
import * as reviews from "./reviews";
import * as runs from "./runs";
import * as shop from "./shop";
import * as teams from "./teams";

/** Every closed list by its name: compared with the database and with the sources. */
export const vocabularies = {
  ...boxed,
  ...builds,
  ...classroom,
  ...concepts,
  ...contest,
  ...flags,
  ...grades,
  ...handbook,
  ...instruments,
  ...needs,
  ...project,
  ...reviews,
  ...runs,
  ...shop,
  ...teams,
};
