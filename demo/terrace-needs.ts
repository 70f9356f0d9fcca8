import { randomUUID } from "node:crypto";
import { addDays } from "@/core/sessions/date";
import { recordChallenge, saveChallenge } from "@/stages/brief/commands";
import { answerQuestion } from "@/stages/needs/commands/questions";
import { makeBaseline, ownRequirement } from "@/stages/needs/commands/register";
import { askClient, mergeStatements, setStatementAside } from "@/stages/needs/commands/statements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { bank, client, type Stage, session, statement } from "./front";

/** The entry challenge, questions, interviews and what was watched. */
export async function askOdile(s: Stage, day: (week: number, d: number) => string, start: string) {
  const { projectId, owner } = s;
  const who = (n: string) => s.ids.get(n)!;
  await s.at(addDays(start, -3), 11);
  const { id: bridge } = await s.run(saveChallenge, owner, {
    projectId,
    title: "Paper bridge",
    task:
      "Two sheets of paper, 30 cm of tape, twenty minutes. It spans 20 cm between two tables and carries " +
      "as many washers as it can.",
    heldOn: addDays(start, -3),
    measure: "Load",
    unit: "g",
    resolution: "5",
    better: "more",
  });
  for (const [i, [g, v]] of (
    [
      ["Ines, Priya, Zora", "430"],
      ["Amara, Felix", "615"],
      ["Greta, Hugo, Yuki", "280"],
      ["Nadia, Callum", "615"],
      ["Dev, Astrid, Samuel", "355"],
      ["Kofi, Vera, Rowan", "505"],
      ["Greta, Hugo, Yuki", "470"],
    ] as const
  ).entries()) {
    await s.at(addDays(start, -3), 11, 20 + i);
    await s.run(recordChallenge, owner, { id: randomUUID(), challengeId: bridge, who: g, value: v });
  }

  const asked = await bank(s, day(1, 0), [
    ["How high must the water go, and from where?", "Jonah Brightwater", "Jonah Brightwater"],
    [
      "How much water does a bed need, and how long may it take?",
      "Priya Raman",
      "Amara Diallo",
      ["How fast should it be?", "Marcus Thorne"],
    ],
    ["Who will use it?", "Leila Haddad", "Leila Haddad"],
    [
      "Who carries it, and where to?",
      "Felix Norrington",
      "Felix Norrington",
      ["How heavy may it be?", "Emil Sandoval"],
    ],
    ["Where is it kept in winter?", "Wen Jiao", "Nadia Orlova"],
    ["What has gone wrong with pumps before?", "Tilda Frost", "Tilda Frost"],
    ["What may the parts cost?", "Mei Tanaka", "Mei Tanaka"],
  ]);
  const one = await session(
    s,
    owner,
    "interview",
    "Interview 1",
    "Odile Brandt, garden coordinator",
    day(1, 1),
    asked,
    [
      [0, "Jonah Brightwater", "From the tank at the foot of the wall to the upper terrace. We measured 1.60 m."],
      [0, "Zora Whitlock", "1.60 m, she held the tape herself"],
      [1, "Amara Diallo", "A bed should be done before I finish my tea, ten minutes say."],
      [1, "Priya Raman", "a bed takes six watering cans of ten litres"],
      [2, "Leila Haddad", "Mostly Odile and two retired neighbours, alone, mornings"],
      [2, "Yuki Sorano", "one of them has a bad shoulder, it must go easily"],
      [3, "Felix Norrington", "I am not carrying a sack of cement."],
      [3, "Emil Sandoval", "carried up nine steps every evening, by one person"],
      [4, "Nadia Orlova", "On the tool shed shelf"],
      [5, "Tilda Frost", "The last one dripped and the path froze"],
      [5, "Bashir Noor", "the path freezes, nobody may slip"],
      [6, "Mei Tanaka", "The garden has 45 credits for parts, no more"],
      [null, "Kofi Mensah", "The beds are for beans and herbs, so nothing oily near the water"],
    ],
  );
  const two = await session(s, owner, "interview", "Interview 2", "Odile Brandt, by telephone", day(2, 0), asked, [
    [2, "Leila Haddad", "People read there. It should not clank."],
    [null, "Paloma Ferrer", "mending with garden tools would be good"],
  ]);
  const watched = await session(
    s,
    who("Amara Diallo"),
    "observation",
    "Two users at the old pump",
    "Garden, Thursday afternoon",
    day(1, 3),
    asked,
    [
      [null, "Amara Diallo", "The smaller user hangs on the handle with her weight; spring scale reads 55 N"],
      [null, "Sunniva Aas", "she stops after eleven strokes and changes hands"],
    ],
  );
  const shelf = await session(
    s,
    who("Wen Jiao"),
    "product",
    "Hand pumps of a garden catalogue",
    "three drawings, one borrowed",
    day(1, 4),
    asked,
    [
      [null, "Wen Jiao", "The borrowed one weighs 6.8 kg and needs two hands"],
      [null, "Marcus Thorne", "cheapest one costs 80, above the garden's budget"],
    ],
  );
  return { projectId, owner, who, one, two, watched, shelf };
}

/** Notes become statements. */
export async function statementsOfTerrace(
  s: Stage,
  day: (week: number, d: number) => string,
  { one, shelf, owner, projectId, watched, two }: Awaited<ReturnType<typeof askOdile>>,
) {
  await s.at(day(2, 1), 13);
  const n = (t: string, from = one) => [...from].find(([text]) => text.startsWith(t))?.[1];
  await statement(
    s,
    "Zora Whitlock",
    "Lifts water from the tank to the upper terrace, 1.60 m up",
    [n("From the tank"), n("1.60 m")],
    "Lifts water",
  );
  await statement(
    s,
    "Priya Raman",
    "Sixty litres for a bed in ten minutes",
    [n("A bed should"), n("a bed takes")],
    "Moves enough water",
  );
  const carried = await statement(
    s,
    "Emil Sandoval",
    "One person carries it up nine steps, at most 5 kg",
    [n("I am not"), n("carried up"), n("The borrowed", shelf)],
    "One person carries",
  );
  const again = await statement(s, "Felix Norrington", "Light enough for one person to carry up the steps", [
    n("I am not"),
  ]);
  await s.run(mergeStatements, owner, { projectId, into: carried, from: [again] });
  await statement(s, "Nadia Orlova", "Is kept on the tool shed shelf", [n("On the tool")], "Fits the tool shed");
  await statement(
    s,
    "Mei Tanaka",
    "Parts cost at most 45 credits",
    [n("The garden has"), n("cheapest", shelf)],
    "Parts stay",
  );
  const drips = await statement(
    s,
    "Bashir Noor",
    "Nothing drips on the path, which freezes",
    [n("The last one"), n("the path freezes")],
    "Leaks nothing",
  );
  const slip = await statement(s, "Tilda Frost", "The path must not freeze from drips", [n("The last one")]);
  await s.run(mergeStatements, owner, { projectId, into: drips, from: [slip] });
  await statement(
    s,
    "Sunniva Aas",
    "A small adult works it with at most 40 N at the handle",
    [n("one of them"), n("The smaller", watched), n("she stops", watched)],
    "Comfortable",
  );
  await statement(s, "Leila Haddad", "One operator, alone", [n("Mostly Odile")], "One operator");
  await statement(s, "Leila Haddad", "Quiet near the reading corner", [n("People read", two)], "Quiet");
  return { n };
}

/** What is asked again, who owns what, the baseline. */
export async function openQuestions(
  s: Stage,
  day: (week: number, d: number) => string,
  { n }: Awaited<ReturnType<typeof statementsOfTerrace>>,
  { who, two, owner, projectId }: Awaited<ReturnType<typeof askOdile>>,
) {
  const oil = await statement(s, "Kofi Mensah", "Nothing oily near the water", [n("The beds are")]);
  await s.run(setStatementAside, who("Kofi Mensah"), {
    id: oil,
    aside: true,
    reason: "The school's list of allowed materials covers it",
  });
  const odile = await client(s, "Odile Brandt");
  const mend = await statement(s, "Paloma Ferrer", "Can be mended with garden tools", [n("mending", two)]);
  const { id: open } = await s.run(askClient, owner, {
    statementId: mend,
    text: "Which tools are in the garden's shed, for mending the pump?",
  });
  await s.at(day(2, 3), 19);
  await s.run(answerQuestion, odile, {
    questionId: open,
    text: "A knife, a screwdriver for crossed screws, pliers. No drill.",
  });
  await s.at(day(2, 3), 15);
  const rules = (await requirementsOf(projectId)).filter((r) =>
    ["One person carries", "Fits the tool", "Parts stay", "Leaks nothing"].some((x) => r.statement.startsWith(x)),
  );
  const owners = ["Felix Norrington", "Nadia Orlova", "Mei Tanaka", "Bashir Noor"];
  for (const [i, r] of rules.entries()) await s.run(ownRequirement, owner, { id: r.id, ownerId: who(owners[i]!) });
  await s.run(makeBaseline, owner, { projectId, note: "Odile Brandt and both sections" });
  return { odile };
}
