import { standing } from "./present";

const who = (name: string, email: string | null = null) => ({ name, email });

test("somebody is known by email, whatever the name; else by name where one of the two has no email", () => {
  const present = [who("Ada Quill", "Ada@x.org"), who("Ben Stone"), who("Cai Reed", "cai@x.org")];
  const rows = [who("A. Quill", "ada@x.org"), who("ben stone", "ben@x.org"), who("CAI REED"), who("Dee Marsh")];
  expect(standing(rows, present)).toEqual([true, true, true, false]);
});

test("two of one name with different emails are two people, and nobody stands for two rows", () => {
  expect(standing([who("Ada", "a2@x.org")], [who("Ada", "a1@x.org")])).toEqual([false]);
  expect(standing([who("Ada", "a1@x.org"), who("Ada", "a2@x.org")], [who("Ada")])).toEqual([true, false]);
  // The one with the email first, whatever the order of the rows.
  expect(standing([who("Ada"), who("Ada", "a1@x.org")], [who("Ada", "a1@x.org")])).toEqual([false, true]);
});
