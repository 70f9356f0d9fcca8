import fc from "fast-check";
import { excerpt, searchWords } from "./excerpt";

const told = (parts: ReturnType<typeof excerpt>) => parts.map((p) => (p.hit ? `[${p.text}]` : p.text)).join("");

test("words are told apart by their beginnings, whatever their case and marks", () => {
  expect(told(excerpt("Über dem Leck: undichte Übergänge", ["uber", "leck"]))).toBe(
    "[Über] dem [Leck]: undichte [Übergänge]",
  );
  expect(told(excerpt("unleaded, leaks", searchWords("LEA")))).toBe("unleaded, [leaks]");
  expect(told(excerpt("Nothing here", ["x"]))).toBe("Nothing here");
});

test("of a long text what is around the first hit, cut between words", () => {
  const long = `${"before ".repeat(60)}the pivot bent ${"after ".repeat(60)}`;
  const shown = told(excerpt(long, ["pivot"], 80));
  expect(shown).toMatch(/^… before .*the \[pivot\] bent .* …$/);
  expect(shown.length).toBeLessThan(100);
});

test("nothing of the shown text is lost or doubled", () => {
  fc.assert(
    fc.property(fc.string(), fc.string({ minLength: 1 }), (text, words) => {
      const flat = text.replaceAll(/\s+/g, " ").trim();
      const shown = excerpt(text, searchWords(words), 10_000)
        .map((p) => p.text)
        .join("");
      expect(shown).toBe(flat);
    }),
  );
});
