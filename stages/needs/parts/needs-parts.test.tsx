/** @jest-environment jsdom */
// The front half's tools: questions in order, notes of many hands, notes that become statements, likely duplicates.
import "@/ui/testing/browser";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadSelect } from "@/ui/select";
import { press } from "@/ui/testing/hands";
import { answer, forget, last, sent } from "@/ui/testing/sent";
import { DuplicateGroup } from "./duplicate-group";
import { QuestionBank } from "./question-bank";
import { StatementDesk } from "./statement-desk";
import { StatementTools } from "./statement-tools";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const id = (n: number) => `0190a0b0-0000-7000-8000-00000000000${n}`;
const projectId = id(0);
beforeAll(() => loadSelect());
beforeEach(forget);

const question = (n: number, text: string, more: object = {}) => ({
  id: id(n),
  text,
  draftedBy: "Ada",
  asker: null,
  askerId: null,
  forClient: false,
  answers: 0,
  version: 1,
  merged: [],
  ...more,
});
const bank = (
  staff: boolean,
  list = [question(1, "How much water?"), question(2, "How often?"), question(3, "Why?")],
) =>
  render(<QuestionBank projectId={projectId} list={list} people={[{ value: id(9), label: "Noor" }]} staff={staff} />);

describe("the question bank", () => {
  test("an arrow sends the whole order; the first cannot go up and the last not down", async () => {
    bank(false);
    await press("Move “How often?” up");
    expect(last()).toEqual({
      action: "orderQuestionsAction",
      input: { projectId, ids: [id(2), id(1), id(3)] },
    });
    await press("Move “How often?” down");
    expect(last().input).toEqual({ projectId, ids: [id(1), id(3), id(2)] });
    const hidden = (name: string) => screen.getByRole("button", { name }).closest(".invisible") !== null;
    expect(["How much water?", "How often?", "Why?"].map((q) => hidden(`Move “${q}” up`))).toEqual([
      true,
      false,
      false,
    ]);
    expect(["How much water?", "How often?", "Why?"].map((q) => hidden(`Move “${q}” down`))).toEqual([
      false,
      false,
      true,
    ]);
  });

  test("two ticked are merged into the first ticked; a student can do that, not drop or edit", async () => {
    bank(false);
    expect(screen.getByText(/Tick questions that ask the same/)).toBeTruthy();
    await userEvent.click(screen.getByRole("checkbox", { name: "Choose “Why?”" }));
    await userEvent.click(screen.getByRole("checkbox", { name: "Choose “How much water?”" }));
    await press("Merge 2 into “Why?”");
    expect(last()).toEqual({ action: "mergeQuestionsAction", input: { projectId, into: id(3), from: [id(1)] } });
    await waitFor(() => expect(screen.getByText(/Tick questions that ask the same/)).toBeTruthy());
    expect(screen.queryByRole("button", { name: "drop" })).toBeNull();
    expect(screen.queryByRole("button", { name: "edit" })).toBeNull();
  });

  test("who asks is said; an edit goes out with the version that was seen", async () => {
    bank(true, [
      question(1, "How much water?", { asker: "Noor", askerId: id(9), answers: 1, version: 4 }),
      question(2, "How often?", { forClient: true, asker: "Noor", answers: 2 }),
    ]);
    const [first, second] = screen.getAllByRole("listitem").map((x) => x.textContent);
    expect(first).toContain("asked by Noor · 1 note");
    expect(second).toContain("on the client's page · 2 notes");
    await userEvent.click(screen.getAllByRole("button", { name: "edit" })[0]!);
    const text = screen.getByLabelText("Question");
    await userEvent.clear(text);
    await userEvent.click(screen.getByRole("button", { name: "Save" }));
    expect(await screen.findByText("This is needed.")).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.type(text, "How many litres?");
    await press("Save");
    expect(last()).toEqual({
      action: "editQuestionAction",
      input: { id: id(1), version: 4, text: "How many litres?", askerId: id(9), forClient: false },
    });
    await waitFor(() => expect(screen.queryByLabelText("Question")).toBeNull());
  });

  test("what was merged is named with who drafted it, and taken out again", async () => {
    bank(true, [question(1, "How much?", { merged: [{ id: id(5), text: "How many litres?", draftedBy: "Ben" }] })]);
    expect(screen.getByText(/Ada, with Ben/)).toBeTruthy();
    await press("1 merged");
    await press("take out again");
    expect(last()).toEqual({ action: "dropQuestionAction", input: { id: id(5), dropped: false } });
  });
});

describe("from notes to statements", () => {
  const notes = [
    { id: id(1), text: "It is heavy", author: "Ada", source: "Interview", used: 0 },
    { id: id(2), text: "Two stairs", author: "Ben", source: "Visit", used: 0 },
    { id: id(3), text: "Cold hands", author: "Ben", source: "Visit", used: 1 },
  ];

  test("the first note ticked proposes the words; it rests on all that are ticked", async () => {
    render(<StatementDesk projectId={projectId} notes={notes} />);
    const desk = within(screen.getByRole("region", { name: "Notes" }));
    expect(desk.queryByText("Cold hands")).toBeNull();
    await userEvent.click(desk.getByRole("checkbox", { name: /It is heavy/ }));
    await userEvent.click(desk.getByRole("checkbox", { name: /Two stairs/ }));
    expect(screen.getByLabelText<HTMLTextAreaElement>("Statement").value).toBe("It is heavy");
    await userEvent.type(screen.getByLabelText("Statement"), " to carry");
    await press("Save, resting on 2 notes");
    expect(last()).toEqual({
      action: "saveStatementAction",
      input: { projectId, text: "It is heavy to carry", noteIds: [id(1), id(2)] },
    });
    await waitFor(() => expect(screen.getByRole("button", { name: "Save without a note" })).toBeTruthy());
  });

  test("used notes are shown where they are asked for", async () => {
    render(<StatementDesk projectId={projectId} notes={[notes[2]!]} />);
    expect(screen.getByText("Every note has become part of a statement.")).toBeTruthy();
    await press("all notes");
    expect(screen.getByText(/Ben · used/)).toBeTruthy();
    await press("only notes not used yet");
    expect(screen.queryByText(/Ben · used/)).toBeNull();
  });

  const tools = (more: object = {}) =>
    render(
      <StatementTools
        id={id(1)}
        version={2}
        projectId={projectId}
        text="Light enough"
        requirementId={null}
        requirements={[{ value: id(7), label: "R-01 Mass" }]}
        staff
        aside={false}
        {...more}
      />,
    );

  test("a statement becomes a requirement or belongs to one", async () => {
    tools();
    await press("make it a requirement");
    expect(last()).toEqual({ action: "adoptStatementAction", input: { id: id(1) } });
    await press("belongs to…");
    await userEvent.click(screen.getByRole("combobox", { name: "Belongs to" }));
    await userEvent.click(screen.getByRole("option", { name: "R-01 Mass" }));
    await press("Link");
    expect(last()).toEqual({ action: "linkStatementAction", input: { id: id(1), requirementId: id(7) } });
  });

  test("it is set aside with a reason, which is asked for; what the server refuses keeps the words", async () => {
    tools({ staff: false });
    expect(screen.queryByRole("button", { name: "ask the client" })).toBeNull();
    await press("set aside");
    await press("Set aside");
    expect(await screen.findByText("This is needed.")).toBeTruthy();
    await userEvent.type(screen.getByLabelText("Why it is no need"), "a wish of ours");
    answer("setStatementAsideAction", { ok: false, kind: "refused", message: "It is a requirement already." });
    await press("Set aside");
    expect(await screen.findByText("It is a requirement already.")).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>("Why it is no need").value).toBe("a wish of ours");
    await press("Leave");
    expect(screen.getByRole("button", { name: "edit" })).toBeTruthy();
  });

  test("what was set aside is taken up again", async () => {
    tools({ aside: true });
    expect(screen.queryByRole("button", { name: "edit" })).toBeNull();
    await press("take up again");
    expect(last()).toEqual({ action: "setStatementAsideAction", input: { id: id(1), aside: false } });
  });
});

describe("likely duplicates", () => {
  const group = (n: number) =>
    render(
      <DuplicateGroup
        projectId={projectId}
        members={["Light", "Not heavy", "Carried by one"].slice(0, n).map((text, i) => ({ id: id(i + 1), text }))}
        score={0.666}
        shared={["carry", "weight"]}
      />,
    );

  test("two differ or say the same; the chosen one is kept", async () => {
    group(2);
    expect(screen.getByText("likeness 0.67, shared: carry, weight")).toBeTruthy();
    await press("They differ");
    expect(last()).toEqual({ action: "tellApartAction", input: { projectId, a: id(1), b: id(2) } });
    await userEvent.click(screen.getByRole("radio", { name: "Not heavy" }));
    await press("They say the same: keep the chosen one");
    expect(last()).toEqual({ action: "mergeStatementsAction", input: { projectId, into: id(2), from: [id(1)] } });
  });

  test("of three one is left out; choosing it takes it back in", async () => {
    group(3);
    await userEvent.click(screen.getAllByRole("button", { name: "leave out" })[1]!);
    await press("They say the same: keep the chosen one");
    expect(last().input).toEqual({ projectId, into: id(1), from: [id(2)] });
    await press("“Carried by one…” differs from the chosen one");
    expect(last().input).toEqual({ projectId, a: id(1), b: id(3) });
    await userEvent.click(screen.getByRole("radio", { name: "Carried by one" }));
    await press("They say the same: keep the chosen one");
    expect(last().input).toEqual({ projectId, into: id(3), from: [id(1), id(2)] });
  });
});
