import { LightGates } from "@/stages/contest/parts/light-gates";
import { Stopwatch } from "@/stages/contest/parts/stopwatch";

export const metadata = { title: "Stopwatch and light gates" };
export default function Page() {
  return (
    <main className="mx-auto grid max-w-4xl gap-4 px-4 py-6">
      <div>
        <h1>Stopwatch and light gates</h1>
        <p className="text-soft">
          Two watches on the same run, by keys, or gates that see it pass. Nothing is sent: for ten minutes the last
          three times stand under the field of an event in this browser, each a press that fills it.
        </p>
      </div>
      <Stopwatch />
      <LightGates />
    </main>
  );
}
