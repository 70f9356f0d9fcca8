import type { Chapter } from "../schema-story";
import { chapterDrafts, paragraphsOf, storyPoints } from "./story";
import { storyFigure, storyHtml } from "./story-page";

type Facts = Parameters<typeof chapterDrafts>[1];
const build = (n: number, builtOn: string, more: object = {}) => ({
  id: `b${n}`,
  teamId: "a",
  number: n,
  stage: "prototype",
  builtOn,
  whatChanged: "",
  why: "",
  expected: "",
  learned: "",
  good: "",
  notGood: "",
  photos: [],
  ...more,
});
const protocol = {
  id: "p",
  name: "Lift test",
  definition: {
    conditions: [],
    measures: [{ key: "Q", name: "Flow", unit: "L/min", resolution: "0.1" }],
    constants: [],
    derived: [],
    primary: "Q",
  },
};
const facts = (builds: object[], more: object = {}): Facts =>
  ({
    state: {
      builds,
      protocols: [protocol],
      summary: (id: string) => (id === "b1" ? { counted: 6.5, n: 1 } : null),
    },
    failures: [],
    reviews: [],
    longDate: (d: string) => d,
    ...more,
  }) as unknown as Facts;

test("a chapter says what was tried, seen and changed, and leaves out what is not on record", () => {
  const builds = [
    build(1, "2027-02-01", {
      whatChanged: "A lever",
      why: "Less force",
      photos: [{ id: "x" }, { id: "y" }, { id: "z" }],
    }),
    build(2, "2027-02-20"),
  ];
  const failures = [{ buildId: "b1", mode: "Snapped", place: "rod", cause: "grain" }];
  const reviews = [
    {
      teamId: "a",
      title: "First review",
      heldOn: "2027-02-10",
      verdict: "go on",
      actions: [{ what: "Brace it", closedAt: "2027-02-12" }],
    },
    { teamId: "a", title: "Later review", heldOn: "2027-02-20", verdict: null, actions: [] },
    { teamId: "b", title: "Another team's", heldOn: "2027-02-10", verdict: null, actions: [] },
  ];
  const [one, two] = chapterDrafts("a", facts(builds, { failures, reviews }));
  expect(one).toMatchObject({ key: "b1", heading: "G1, prototype: A lever", pictures: ["x", "y"] });
  expect(one!.text.split("\n\n")).toEqual([
    "What we tried. Built on 2027-02-01. A lever. Why: Less force.",
    "What we saw. Lift test, Flow: 6.50 L/min in 1 run. It failed: Snapped, rod, likely because grain.",
    "What we changed our minds about. First review: go on; agreed: Brace it (done).",
  ]);
  expect(two!.heading).toBe("G2, prototype: the first one");
  expect(two!.text).toBe("What we tried. Built on 2027-02-20.\n\nWhat we changed our minds about. Later review.");
});

test("the figure has a bar for each generation that was measured, the best one in the accent", () => {
  const points = storyPoints("a", facts([build(1, "2027-02-01"), build(2, "2027-02-20")]))!;
  expect(points).toMatchObject({ title: "Flow by generation", points: [{ name: "G1", shown: "6.50" }] });
  const two = [...points.points, { name: "G2 <b>", value: 0, shown: "0" }];
  const svg = storyFigure({ ...points, points: two });
  expect(svg.match(/<rect/g)).toHaveLength(2);
  expect(svg.match(/#9a3b22/g)).toHaveLength(1);
  expect(svg).toContain("G2 &lt;b&gt;");
  expect(storyPoints("b", facts([build(1, "2027-02-01")]))).toBeNull();
  expect(storyPoints("a", { state: { ...facts([]).state, protocols: [] } })).toBeNull();
});

test("the page holds nothing that was typed as markup, and no picture that is gone", () => {
  const chapter: Chapter = {
    key: "own 1",
    heading: "<Why>",
    text: 'A & B\n\n\n "C"',
    pictures: ["p", "gone"],
    figure: true,
  };
  const page = storyHtml({
    title: "T's",
    team: "A",
    project: "P",
    chapters: [chapter],
    points: null,
    pictures: new Map([["p", { src: "data:image/jpeg;base64,eA==", caption: "" }]]),
  });
  expect(page).toContain("<h2>&lt;Why&gt;</h2><p>A &amp; B</p><p>&quot;C&quot;</p>");
  expect(page.match(/<img/g)).toHaveLength(1);
  expect(page).toContain('alt="&lt;Why&gt;"');
  expect(page).toContain("<h1>T&#39;s</h1>");
  expect(page).not.toContain("<svg");
});

test("an empty line begins a paragraph", () => expect(paragraphsOf(" a\nb \n \n\nc\n")).toEqual(["a\nb", "c"]));
