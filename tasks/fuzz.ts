// Sends wrong texts and bytes to everything that reads any, each with a second to answer: an answer or a refusal is
// fine, an exception or silence is found and printed with the text that made it.
import { fork } from "node:child_process";
import { fileURLToPath } from "node:url";
import { seededRandom } from "@/core/draw/draw";
import { mutate, mutateBytes } from "@/stages/testing/fuzz/mutate";
import { byteParsers } from "@/stages/testing/fuzz/parsers";
import { textParsers } from "./fuzz-parsers";

const patience = 1000;
const [seconds, seed] = [Number(process.argv[2] ?? 60), process.argv[3] ?? String(Date.now())];

type Answer = { wrong: string | null };

/** A reader in a process of its own, which is ended and begun anew when it does not answer. */
class Reader {
  private heard: (a: Answer) => void = () => {};
  private child = this.begin();
  private begin() {
    const script = fileURLToPath(new URL("./fuzz-reader.ts", import.meta.url));
    const execArgv = ["--conditions=react-server", "--import", "tsx"];
    const child = fork(script, [], { execArgv, serialization: "advanced" });
    child.on("message", (a: Answer) => this.heard(a));
    child.on("exit", (code) => this.heard({ wrong: `the process ended with ${code}` }));
    return child;
  }
  private answer = (within: number): Promise<Answer> =>
    new Promise((resolve) => {
      const late = setTimeout(() => resolve({ wrong: `no answer within ${within / 1000} s` }), within);
      this.heard = (a) => {
        clearTimeout(late);
        resolve(a);
      };
    });
  ready = () => this.answer(60_000);
  end() {
    this.child.removeAllListeners();
    this.child.kill("SIGKILL");
  }
  async read(name: string, input: string | Uint8Array): Promise<Answer> {
    const answer = this.answer(patience);
    this.child.send({ name, input });
    const got = await answer;
    if (got.wrong) {
      this.end();
      this.child = this.begin();
      await this.ready();
    }
    return got;
  }
}

async function main(): Promise<void> {
  const reader = new Reader();
  await reader.ready();
  const random = seededRandom(seed);
  const all = [
    ...textParsers.map((p) => ({ name: p.name, next: () => mutate(p.samples, random) })),
    ...(await Promise.all(
      byteParsers.map(async (p) => {
        const sample = await p.sample();
        return { name: p.name, next: () => mutateBytes(sample, random) };
      }),
    )),
  ];
  console.log(`Seed ${seed}, ${seconds} s for ${all.length} parsers, ${patience / 1000} s for each answer`);
  let bad = 0;
  for (const p of all) {
    const until = performance.now() + (seconds * 1000) / all.length;
    let [tried, slowest] = [0, 0];
    const found = new Map<string, string>();
    while (performance.now() < until && found.size < 5) {
      const input = p.next();
      const from = performance.now();
      const { wrong } = await reader.read(p.name, input);
      slowest = Math.max(slowest, performance.now() - from);
      tried++;
      const shown = typeof input === "string" ? JSON.stringify(input) : Buffer.from(input).toString("base64");
      if (wrong) found.set(wrong.split("\n").slice(0, 2).join(" "), shown.slice(0, 600));
    }
    bad += found.size;
    console.log(`${p.name}: ${tried} inputs, slowest ${slowest.toFixed(0)} ms, ${found.size} found`);
    for (const [wrong, input] of found) console.log(`  ${wrong}\n    ${input}`);
  }
  reader.end();
  if (bad) process.exitCode = 1;
}

main().catch((error) => {
  console.error(error);
  process.exitCode = 1;
});
