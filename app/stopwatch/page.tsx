import { Stopwatch } from "@/stages/contest/parts/stopwatch";

export const metadata = { title: "Stopwatch" };
export default function Page() {
  return (
    <main className="mx-auto grid max-w-4xl gap-4 px-4 py-6">
      <div>
        <h1>Stopwatch</h1>
        <p className="text-soft">
          Two watches on the same run, by keys. Nothing is kept or sent: write what you read into the field of the
          event.
        </p>
      </div>
      <Stopwatch />
    </main>
  );
}
