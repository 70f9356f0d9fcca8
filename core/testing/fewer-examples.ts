// Fewer made-up examples a property: a mutation run asks the same tests thousands of times.
import { configureGlobal } from "fast-check";

configureGlobal({ numRuns: 25 });
