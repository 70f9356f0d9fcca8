/** @jest-environment jsdom */
// Sheets that reviewers and raters fill in, on a phone as on a desk: what is handed in, and what is kept when it fails.
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import * as yup from "yup";
import type { ActionResult } from "./form/result";
import { loadSelect } from "./select";
import { SelectionSheet, type SheetQuestion } from "./selection-sheet";
import { sheetWaits } from "./sheet-box";
import { SheetForm } from "./sheet-form";
import { box } from "./testing/boxed";
import { emptyBoxes } from "./testing/waiting";
import { takeUnheard } from "./toast";

const router = { refresh: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);
beforeAll(() => loadSelect());
beforeEach(async () => {
  await emptyBoxes();
  localStorage.clear();
});
const good: ActionResult = { ok: true, value: null };
/** What was sent last: it is kept in the browser first. */
async function sent(action: jest.Mock): Promise<Record<string, unknown>> {
  await waitFor(() => expect(action).toHaveBeenCalled());
  return action.mock.calls.at(-1)![0];
}
const concepts = [
  { id: "p", title: "Piston" },
  { id: "b", title: "Bellows" },
];
const question = (more: Partial<SheetQuestion>): SheetQuestion => ({
  id: "q",
  school: "panel",
  criteria: [{ key: "cost", name: "Cost" }],
  top: 5,
  keep: 2,
  votes: 1,
  datum: null,
  concepts,
  ...more,
});
const open = (
  more: Partial<SheetQuestion>,
  given: Record<string, unknown> | null = null,
  answer: ActionResult = good,
) => {
  render(<SelectionSheet q={question(more)} raterId="me" given={given} />);
  return box.mockReset().mockImplementation(async () => answer);
};
const handIn = () => userEvent.click(screen.getByRole("button", { name: /Hand in/ }));

describe("scores", () => {
  test("are numbers, with a comma too; empty cells are left out", async () => {
    const action = open({});
    await userEvent.type(screen.getByLabelText("Piston, Cost"), "3,5");
    await handIn();
    expect(await sent(action)).toEqual({ selectionId: "q", marks: { p: { cost: 3.5 }, b: {} } });
    expect(await screen.findByText(/Handed in\. You can change it/)).toBeTruthy();
  });
  test("beyond the range are not sent, and the cell is named", async () => {
    const action = open({});
    await userEvent.type(screen.getByLabelText("Bellows, Cost"), "6");
    await handIn();
    expect(action).not.toHaveBeenCalled();
    expect(screen.getByText("Bellows, Cost: a score from 0 to 5.")).toBeTruthy();
  });
  test("that were refused stay, and so does what was handed in before", async () => {
    open({}, { p: { cost: 2 } }, { ok: false, kind: "refused", message: "The selection is closed." });
    const cell = screen.getByLabelText("Piston, Cost") as HTMLInputElement;
    expect(cell.value).toBe("2");
    await userEvent.type(cell, ".5");
    await userEvent.click(screen.getByRole("button", { name: "Hand in again" }));
    expect(await screen.findByText("The selection is closed.")).toBeTruthy();
    expect(cell.value).toBe("2.5");
  });
});

test("against a datum marks are signs, and the datum has none to give", async () => {
  const action = open({ school: "datum", datum: "b" });
  expect(screen.queryByLabelText("Bellows, Cost")).toBeNull();
  await userEvent.click(screen.getByRole("combobox", { name: "Piston, Cost" }));
  await userEvent.click(screen.getByRole("option", { name: "−" }));
  await handIn();
  expect(await sent(action)).toEqual({ selectionId: "q", marks: { p: { cost: "−" } } });
});

describe("a choice", () => {
  test("of the client's goes with its reasons; a reason of what is not chosen does not", async () => {
    const action = open({ school: "client" });
    for (const name of ["Piston", "Bellows"]) {
      await userEvent.click(screen.getByRole("checkbox", { name }));
      await userEvent.type(screen.getByLabelText(`Why ${name}`), `${name} is good`);
    }
    await userEvent.click(screen.getByRole("checkbox", { name: "Piston" }));
    await handIn();
    expect((await sent(action)).marks).toEqual({ chosen: ["b"], reasons: { b: "Bellows is good" } });
  });
  test("of one: another takes its place; of two: a third cannot be taken", async () => {
    const action = open({ school: "vote" });
    await userEvent.click(screen.getByRole("checkbox", { name: "Piston" }));
    await userEvent.click(screen.getByRole("checkbox", { name: "Bellows" }));
    await handIn();
    expect((await sent(action)).marks).toMatchObject({ chosen: ["b"] });
  });
  test("at the most allowed, what is left is closed", async () => {
    open({ school: "client", keep: 2, concepts: [...concepts, { id: "s", title: "Screw" }] }, { chosen: ["p", "b"] });
    expect((screen.getByRole("checkbox", { name: "Screw" }) as HTMLButtonElement).disabled).toBe(true);
    await userEvent.click(screen.getByRole("checkbox", { name: "Piston" }));
    expect((screen.getByRole("checkbox", { name: "Screw" }) as HTMLButtonElement).disabled).toBe(false);
  });
});

describe("a rubric's sheet", () => {
  const criteria = [
    {
      key: "fit",
      name: "Fit",
      weight: "2",
      levels: [
        { points: "0", descriptor: "not shown" },
        { points: "3", descriptor: "excellent" },
      ],
    },
    { key: "safe", name: "Safety", weight: "1", levels: [{ points: "0", descriptor: "open blades" }] },
  ];
  const sheet = (more: object = {}) => {
    const action = box.mockReset().mockImplementation(async () => good);
    render(
      <SheetForm
        schema={yup.object({ raterName: yup.string().required("Say who you are.") })}
        reviewId="r"
        raterId="me"
        version={0}
        criteria={criteria}
        rater=""
        asksName
        marks={[]}
        comment=""
        saved="Thank you."
        {...more}
      />,
    );
    return action;
  };
  test("is handed in with the levels that were chosen, their comments, and who filled it in", async () => {
    const action = sheet();
    await userEvent.type(screen.getByLabelText("Your name"), "Ruta");
    await userEvent.click(screen.getByRole("radio", { name: /3 excellent/ }));
    await userEvent.type(screen.getByLabelText("Comment on Fit"), "snug");
    await userEvent.type(screen.getByLabelText("What should the team hear?"), "Well done.");
    await handIn();
    await waitFor(() => expect(takeUnheard()).toEqual([{ text: "Thank you." }]));
    expect(await sent(action)).toEqual({
      reviewId: "r",
      version: 0,
      raterName: "Ruta",
      comment: "Well done.",
      marks: [{ criterion: "fit", points: "3", comment: "snug" }],
    });
  });
  test("without a name is not sent; a corrected one shows what stood", async () => {
    const action = sheet({ marks: [{ criterion: "safe", points: "0", comment: "guard it" }], version: 2 });
    expect(
      within(screen.getByRole("radiogroup", { name: "Safety" }))
        .getByRole("radio")
        .getAttribute("aria-checked"),
    ).toBe("true");
    expect((screen.getByLabelText("Comment on Safety") as HTMLInputElement).value).toBe("guard it");
    await userEvent.click(screen.getByRole("button", { name: "Hand in the corrected sheet" }));
    expect(action).not.toHaveBeenCalled();
    expect(await screen.findByText("Say who you are.")).toBeTruthy();
  });
  const choose = (level: RegExp) => userEvent.click(screen.getByRole("radio", { name: level }));
  const back = () => window.dispatchEvent(new Event("online"));
  const lost = () => Promise.reject(new Error("offline"));
  test("without a network it waits, survives a reload, and is handed in once", async () => {
    const first = sheet({ rater: "Ruta" });
    first.mockImplementation(lost);
    await choose(/3 excellent/);
    await handIn();
    expect(await screen.findByText(sheetWaits)).toBeTruthy();
    const request = first.mock.calls[0]![1];
    cleanup();
    const second = sheet({ rater: "Ruta" });
    await waitFor(() => expect(second).toHaveBeenCalledTimes(1));
    expect(second.mock.calls[0]![1]).toMatchObject(request);
    expect((await sent(second)).marks).toEqual([{ criterion: "fit", points: "3", comment: "" }]);
    await waitFor(() => expect(takeUnheard()).toEqual([{ text: "Thank you." }]));
    await waitFor(() => expect({ ...localStorage }).toEqual({}));
  });
  test("what is filled in and not handed in survives a reload, with the version that it was begun on", async () => {
    sheet({ rater: "Ruta", version: 1 });
    await choose(/3 excellent/);
    await userEvent.type(screen.getByLabelText("Comment on Fit"), "snug");
    cleanup();
    const action = sheet({ rater: "Ruta", version: 2 });
    expect((await screen.findByDisplayValue("snug")).getAttribute("name")).toBe("comments.fit");
    await handIn();
    expect(await sent(action)).toMatchObject({ version: 1, marks: [{ comment: "snug" }] });
  });
  test("one behind another that waits is a version further; the reason of a refusal stays beside it", async () => {
    const action = sheet({ rater: "Ruta" });
    action.mockImplementation(lost);
    await choose(/3 excellent/);
    await handIn();
    await screen.findByText(sheetWaits);
    await userEvent.type(screen.getByLabelText("Comment on Fit"), "snug");
    await handIn();
    // Both wait: what is answered before is said in the form itself.
    await waitFor(() => expect(screen.getAllByText(/^waits here/)).toHaveLength(2));
    action.mockReset();
    action.mockImplementation(async (x) =>
      (x as { version: number }).version ? { ok: false, kind: "refused", message: "It is closed." } : good,
    );
    back();
    expect(await screen.findByText("It is closed.")).toBeTruthy();
    expect(action.mock.calls.map(([x]) => (x as { version: number }).version)).toEqual([0, 1]);
    expect(screen.getByDisplayValue("snug")).toBeTruthy();
    expect(screen.getByRole("button", { name: "give it up" })).toBeTruthy();
  });
  test("what one rater typed is not shown to another one at the same computer", async () => {
    sheet({ rater: "Ruta" });
    await userEvent.type(screen.getByLabelText("Comment on Fit"), "snug");
    cleanup();
    sheet({ rater: "Mara", raterId: "other" });
    expect((screen.getByLabelText("Comment on Fit") as HTMLInputElement).value).toBe("");
  });
});

test("a choice waits for the network too, and what was chosen survives a reload", async () => {
  const action = open({ school: "client", keep: 2 });
  action.mockImplementation(() => Promise.reject(new Error("offline")));
  await userEvent.click(screen.getByRole("checkbox", { name: "Bellows" }));
  await userEvent.type(screen.getByLabelText("Why Bellows"), "quiet");
  cleanup();
  const again = open({ school: "client", keep: 2 });
  again.mockImplementation(() => Promise.reject(new Error("offline")));
  expect(await screen.findByDisplayValue("quiet")).toBeTruthy();
  await handIn();
  expect(await screen.findByText(sheetWaits)).toBeTruthy();
  again.mockImplementation(async () => good);
  window.dispatchEvent(new Event("online"));
  expect(await screen.findByText(/^Handed in/)).toBeTruthy();
  expect((await sent(again)).marks).toEqual({ chosen: ["b"], reasons: { b: "quiet" } });
  expect(localStorage.length).toBe(0);
});
