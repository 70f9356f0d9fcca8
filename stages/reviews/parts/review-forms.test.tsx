/** @jest-environment jsdom */
// What reviews are made of, as it is written: a rubric, a story, the order of a packet, wishes that are ticked.
import "@/ui/testing/browser";
import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadMenu } from "@/ui/menu";
import { press, take } from "@/ui/testing/hands";
import { answer, forget, sent, went } from "@/ui/testing/sent";
import { rubricShelf } from "../view/rubric-shelf";
import { typedCriteria, typedLevels } from "../view/typed-rubric";
import { DemonstrationForm } from "./demonstration";
import { PacketOrder } from "./packet-order";
import { AskForm, Questions } from "./questions";
import { RubricForm } from "./rubric-form";
import { StoryForm } from "./story-form";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const id = (n: number) => `0190a0b0-0000-7000-8000-00000000000${n}`;
beforeAll(() => loadMenu());
beforeEach(forget);
const input = () => sent.at(-1)!.input as Record<string, unknown>;

describe("a rubric", () => {
  const criterion = { key: "fit", name: "Fit", weight: "2", levelText: "0 no\n4 yes", individual: false };
  const open = (more: object = {}) =>
    render(
      <RubricForm
        projectId={id(0)}
        slug="pump"
        version={0}
        defaults={{ name: "Design", criteria: [criterion] }}
        {...more}
      />,
    );

  test("levels are read however points and words are parted", () => {
    expect(typedLevels("0 none\n 2: begun\n3 – sound, tried\n4-well made\n5")).toEqual([
      { points: "0", descriptor: "none" },
      { points: "2", descriptor: "begun" },
      { points: "3", descriptor: "sound, tried" },
      { points: "4", descriptor: "well made" },
      { points: "5", descriptor: "" },
    ]);
    for (const r of rubricShelf)
      for (const [i, c] of typedCriteria(r.criteria).entries())
        expect(typedLevels(c.levelText)).toEqual(r.criteria[i]!.levels.map((l) => ({ ...l })));
  });

  test("a criterion more has a key of its own and four levels to begin with; one is taken away", async () => {
    open({ id: id(1), version: 3 });
    await press("add a criterion");
    const [, second] = screen.getAllByLabelText("Criterion");
    await userEvent.type(second!, "Wear");
    await userEvent.click(screen.getAllByRole("checkbox", { name: "each member alone" })[1]!);
    await press("Save a new version");
    await waitFor(() => expect(went).toEqual(["/p/pump/reviews"]));
    expect(input()).toMatchObject({
      id: id(1),
      version: 3,
      criteria: [
        {
          key: "fit",
          levels: [
            { points: "0", descriptor: "no" },
            { points: "4", descriptor: "yes" },
          ],
        },
        { key: "c2", name: "Wear", weight: "1", individual: true, levels: { length: 4 } },
      ],
    });
    await userEvent.click(screen.getAllByRole("button", { name: "remove" })[0]!);
    expect(screen.getAllByLabelText("Criterion").length).toBe(1);
  });

  test("one from the shelf takes the place of what stands, and names a rubric without a name", async () => {
    open({ defaults: { name: "", criteria: [criterion] } });
    const [first] = rubricShelf;
    await take(/Take a rubric from the shelf/, new RegExp(`^${first!.name}`));
    expect(screen.getByLabelText("Name")).toHaveProperty("value", first!.name);
    expect(screen.getAllByLabelText<HTMLInputElement>("Criterion").map((x) => x.value)).toEqual(
      first!.criteria.map((c) => c.name),
    );
    expect(sent).toEqual([]);
  });

  test("one from a spreadsheet is put into the form; a table that is none is told and stays", async () => {
    open();
    await press("from a spreadsheet");
    const field = screen.getByLabelText("Paste the rubric");
    fireEvent.change(field, { target: { value: "Idea" } });
    await press("Put it into the form");
    await waitFor(() => expect(screen.getAllByRole("status")[0]!.textContent).not.toBe(""));
    expect(field).toHaveProperty("value", "Idea");
    fireEvent.change(field, {
      target: { value: "Criterion\tWeight\tLevel 1\tLevel 2\nIdea\t2\t0 none\t3 argued\nBuild\t1\t0 no\t4 yes" },
    });
    await press("Put it into the form");
    await waitFor(() => expect(screen.getAllByLabelText("Criterion").length).toBe(2));
    expect(screen.queryByLabelText("Paste the rubric")).toBeNull();
    expect(screen.getAllByLabelText<HTMLTextAreaElement>("Levels")[0]!.value).toBe("0 none\n3 argued");
  });
});

describe("a story", () => {
  const chapter = (key: string, heading: string) => ({
    key,
    heading,
    text: `Of ${heading}.`,
    pictures: [],
    figure: false,
  });
  const drafts = [chapter(id(1), "G1"), chapter(id(2), "G2")];
  const open = () =>
    render(
      <StoryForm
        projectId={id(0)}
        teamId={id(9)}
        version={2}
        defaults={{ title: "Our pump", chapters: [drafts[0]!, chapter("own 1", "Thanks")] }}
        drafts={drafts}
        pictures={[{ value: id(5), label: "G1 the drum" }]}
        notes={[{ value: "The drum leaked.", label: "2 Mar" }]}
        back="/p/pump/reviews/stories/x"
      />,
    );
  const headings = () => screen.getAllByLabelText<HTMLInputElement>("Heading").map((x) => x.value);

  test("chapters are moved, added from the record or of one's own, and removed", async () => {
    open();
    await take("Chapter 2: what can be done", "Move up");
    expect(headings()).toEqual(["Thanks", "G1"]);
    await take("Add a chapter from the record", "G2");
    expect(headings()).toEqual(["Thanks", "G1", "G2"]);
    // What is there already is not offered again.
    expect(screen.queryByRole("button", { name: "Add a chapter from the record" })).toBeNull();
    await press("add a chapter of our own");
    await take("Chapter 1: what can be done", "Remove");
    expect(headings()).toEqual(["G1", "G2", ""]);
    await userEvent.type(screen.getAllByLabelText("Heading")[2]!, "What we would do next");
    await press("Save the story");
    await waitFor(() => expect(went).toEqual(["/p/pump/reviews/stories/x"]));
    expect(input()).toMatchObject({ teamId: id(9), version: 2, title: "Our pump" });
    expect((input().chapters as { key: string }[]).map((c) => c.key)).toEqual([id(1), id(2), "own 2"]);
  });

  test("a note of one's own notebook goes below what is written", async () => {
    open();
    await take("Chapter 1: what can be done", "From my notebook: 2 Mar");
    expect(screen.getAllByLabelText<HTMLTextAreaElement>("Text")[0]!.value).toBe("Of G1.\n\nThe drum leaked.");
    await press("Chapter 1: what can be done");
    const offered = screen.getAllByRole("menuitem").map((x) => x.textContent);
    expect(offered).toEqual(["Move down", "From my notebook: 2 Mar", "Remove"]);
  });
});

describe("a packet", () => {
  const open = () =>
    render(
      <PacketOrder
        id={id(1)}
        was={[]}
        shown={["asked", "figures"]}
        wasLeft={["r2"]}
        items={{
          asked: [
            { key: "r1", label: "R-01" },
            { key: "r2", label: "R-02" },
          ],
        }}
      />,
    );

  test("nothing is saved before something is changed; the order is, with what is left out", async () => {
    open();
    const save = screen.getByRole("button", { name: "Save the order" });
    expect(save).toHaveProperty("disabled", true);
    const down = screen.getAllByRole("button", { name: /: down$/ });
    expect(down.at(-1)).toHaveProperty("disabled", true);
    await userEvent.click(down[0]!);
    await press(/^pick of/);
    await userEvent.click(screen.getByRole("checkbox", { name: "R-02" }));
    await userEvent.click(screen.getByRole("checkbox", { name: "R-01" }));
    await userEvent.click(save);
    expect(input()).toEqual({ id: id(1), was: [], parts: ["figures", "asked"], wasLeft: ["r2"], left: ["r1"] });
  });

  test("one part at least is shown", async () => {
    open();
    for (const box of screen.getAllByRole("checkbox", { checked: true })) await userEvent.click(box);
    expect(screen.getByText("Show at least one part.")).toBeTruthy();
    expect(screen.getByRole("button", { name: "Save the order" })).toHaveProperty("disabled", true);
  });
});

describe("a demonstration and its questions", () => {
  const wish = (n: number, more: object = {}) =>
    ({
      requirementId: id(n),
      code: `R-0${n}`,
      words: `Wish ${n}`,
      measured: "",
      outcome: "",
      word: "",
      ...more,
    }) as never;

  test("what was ticked goes, what was not stays out; what is measured is said to decide", async () => {
    const action = jest.fn().mockResolvedValue({ ok: true, value: { evidence: 1 } });
    render(
      <DemonstrationForm
        reviewId={id(0)}
        who="Odile Brandt"
        wishes={[wish(1, { measured: "met" }), wish(2)]}
        action={action}
        via="guest"
      />,
    );
    expect(screen.getByText(/Measured on the bench: met\. That decides/)).toBeTruthy();
    const second = within(screen.getByRole("radiogroup", { name: "Wish 2" }));
    await userEvent.click(second.getAllByRole("radio")[0]!);
    await userEvent.type(screen.getByLabelText("A word on R-02"), "at last");
    await press("Record what was found");
    expect(await screen.findByText("Recorded.")).toBeTruthy();
    expect(action.mock.calls[0]![0]).toMatchObject({
      reviewId: id(0),
      who: "Odile Brandt",
      wishes: [{ requirementId: id(2), word: "at last" }],
    });
    expect(action.mock.calls[0]![1]).toMatchObject({ via: "guest" });
  });

  test("a question is written down under the rater's name and the field is empty for the next", async () => {
    const action = jest.fn().mockResolvedValue({ ok: true, value: { id: id(3) } });
    render(<AskForm reviewId={id(0)} action={action} rater="R. Osei" via="guest" />);
    const field = screen.getByLabelText("A question that was asked");
    await userEvent.type(field, "Why a drum?{Enter}");
    await waitFor(() => expect(field).toHaveProperty("value", ""));
    expect(action.mock.calls[0]![0]).toEqual({ reviewId: id(0), raterName: "R. Osei", question: "Why a drum?" });
  });

  test("who asked is for instructors; an answer is written by whom it concerns and corrected", async () => {
    const q = { id: id(3), question: "Why a drum?", askedBy: "R. Osei", answer: "", version: 1 } as never;
    const { rerender } = render(<Questions questions={[q]} staff={false} answers />);
    expect(screen.queryByText("R. Osei")).toBeNull();
    expect(screen.queryByRole("button", { name: "withdraw" })).toBeNull();
    await press("write the answer");
    await userEvent.type(screen.getByLabelText("Answer"), "It is round.");
    answer("answerQuestionAction", { ok: true, value: null });
    await press("Save");
    await waitFor(() => expect(input()).toEqual({ id: id(3), version: 1, answer: "It is round." }));
    rerender(<Questions questions={[]} staff answers />);
    expect(screen.getByText("None is written down.")).toBeTruthy();
  });
});
