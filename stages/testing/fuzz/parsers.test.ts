// Everything that reads what others wrote answers or refuses in words, whatever it is sent; `./ironstone fuzz` goes on
// for as long as one likes, and gives each a second.
import { seededRandom } from "@/core/draw/draw";
import { mutate, mutateBytes } from "./mutate";
import { byteParsers, parsers } from "./parsers";

test.each(parsers.map((p) => [p.name, p] as const))("%s: 150 wrong texts", async (name, p) => {
  for (const text of p.samples) await p.read(text);
  const random = seededRandom(name);
  for (let n = 0; n < 150; n++) {
    const text = mutate(p.samples, random);
    try {
      await p.read(text);
    } catch (error) {
      throw new Error(`${JSON.stringify(text)}: ${(error as Error).message}`);
    }
  }
});

test.each(byteParsers.map((p) => [p.name, p] as const))("%s: 60 wrong files", async (name, p) => {
  const sample = await p.sample();
  await p.read(sample);
  const random = seededRandom(name);
  for (let n = 0; n < 60; n++) await p.read(mutateBytes(sample, random));
});

test("a wrong text is wrong, bounded, and the same from the same source", () => {
  const many = (seed: string) => {
    const random = seededRandom(seed);
    return Array.from({ length: 300 }, () => mutate(["4.2 L", "3 ft 6 in"], random));
  };
  expect(many("a")).toEqual(many("a"));
  expect(new Set(many("a")).size).toBeGreaterThan(200);
  expect(Math.max(...many("b").map((t) => t.length))).toBeLessThanOrEqual(20_000);
});
