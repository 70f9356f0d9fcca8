import { Fold } from "@/ui/fold";
import { LightGates } from "./light-gates";
import { Stopwatch } from "./stopwatch";

/** The watches and the light gates, folded away below a field; they open without a network as the page does. */
export const Timing = () => (
  <Fold label="Stopwatch and light gates" className="mt-5" labelClass="min-h-11 text-soft">
    <div className="mt-3 grid gap-5">
      <Stopwatch />
      <LightGates />
    </div>
  </Fold>
);
