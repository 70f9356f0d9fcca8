/** @jest-environment jsdom */
// Small parts that forms are made of: pictures that are sent, places on them, levels by a press, ticks, points rules.
import "@/ui/testing/browser";
import { act, fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type ReactNode, useState } from "react";
import { FormProvider, useForm } from "react-hook-form";
import { ChoiceField } from "./form/choice-field";
import { LevelKeys } from "./level-keys";
import { PictureUpload } from "./picture";
import { PinPad, type Place } from "./pin";
import { RuleFields } from "./rule-fields";
import { loadSelect } from "./select";
import { forget } from "./testing/sent";
import { TickList } from "./tick-list";
import { Waiting } from "./waiting";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
beforeAll(() => loadSelect());
beforeEach(forget);

describe("a picture", () => {
  const file = (size?: number) => {
    const made = new File([new Uint8Array([1, 2, 3])], "Front of it.JPG", { type: "image/jpeg" });
    if (size) Object.defineProperty(made, "size", { value: size });
    return made;
  };
  const open = (action: jest.Mock) =>
    render(
      <PictureUpload action={action} input={{ buildId: "b" }} label="Picture">
        Add a picture
      </PictureUpload>,
    );
  const send = (f: File) => fireEvent.change(screen.getByLabelText("Picture"), { target: { files: [f] } });

  test("goes as it is, called by its file's name; the button waits meanwhile", async () => {
    let done: (r: object) => void = () => {};
    const action = jest.fn(() => new Promise((r) => (done = r)));
    open(action);
    send(file());
    expect(await screen.findByRole("button", { name: "Sending…" })).toHaveProperty("disabled", true);
    await waitFor(() => expect(action).toHaveBeenCalledTimes(1));
    expect((action.mock.calls as unknown[][])[0]![0]).toEqual({
      buildId: "b",
      base64: "AQID",
      caption: "Front of it",
    });
    await act(async () => done({ ok: true, value: null }));
    expect(screen.getByRole("button", { name: "Add a picture" })).toHaveProperty("disabled", false);
  });

  test("one that is too large is not sent; what the server refuses is said", async () => {
    const action = jest.fn().mockResolvedValue({ ok: false, kind: "refused", message: "This is no picture." });
    open(action);
    send(file(25_000_001));
    expect((await screen.findByRole("alert")).textContent).toContain("larger than 25 MB");
    expect(action).not.toHaveBeenCalled();
    send(file());
    await waitFor(() => expect(screen.getByRole("alert").textContent).toBe("This is no picture."));
  });

  test("without an answer the same picture sent again is the same request: it is kept once", async () => {
    const action = jest
      .fn()
      .mockRejectedValueOnce(new Error("offline"))
      .mockResolvedValueOnce({ ok: true, value: null });
    open(action);
    send(file());
    expect((await screen.findByRole("alert")).textContent).toContain("The network did not answer");
    send(file());
    await waitFor(() => expect(action).toHaveBeenCalledTimes(2));
    const [first, second] = action.mock.calls.map((c) => (c[1] as { requestId: string }).requestId);
    expect(second).toBe(first);
  });
});

describe("a place on a photo", () => {
  function Pad({ first }: { first: Place | null }) {
    const [at, put] = useState(first);
    return <PinPad src="/x" alt="the pump" at={at} ask="Where did it fail?" onPut={put} />;
  }
  const pad = () => screen.getByRole("button");

  test("is pressed with the pointer, within the photo", () => {
    render(<Pad first={null} />);
    expect(pad().getAttribute("aria-label")).toBe("Where did it fail?");
    pad().getBoundingClientRect = () => ({ left: 10, top: 20, width: 200, height: 100 }) as DOMRect;
    fireEvent.click(pad(), { clientX: 60, clientY: 95, detail: 1 });
    expect(pad().getAttribute("aria-label")).toMatch(/^Pin at 25 % from the left, 75 % from the top/);
    fireEvent.click(pad(), { clientX: 900, clientY: 0, detail: 1 });
    expect(pad().getAttribute("aria-label")).toMatch(/^Pin at 100 % from the left, 0 % from the top/);
  });

  test("is moved by keys, farther with Shift, and never out of the photo; other keys do nothing", async () => {
    render(<Pad first={null} />);
    pad().focus();
    await userEvent.keyboard("{Enter}");
    expect(pad().getAttribute("aria-label")).toMatch(/^Pin at 50 % from the left, 50 %/);
    await userEvent.keyboard("{ArrowRight}{ArrowDown}{ArrowDown}x");
    expect(pad().getAttribute("aria-label")).toMatch(/^Pin at 52 % from the left, 54 %/);
    await userEvent.keyboard("{Shift>}{ArrowLeft}{ArrowLeft}{ArrowLeft}{ArrowLeft}{ArrowLeft}{ArrowLeft}{/Shift}");
    expect(pad().getAttribute("aria-label")).toMatch(/^Pin at 0 % from the left, 54 %/);
  });
});

test("a level is picked by a press, whatever its letters' case in the field; Tab passes the keys by", async () => {
  const pick = jest.fn();
  render(<LevelKeys levels={["holds", "bends", "breaks"]} chosen=" Bends " onPick={pick} />);
  expect(screen.getByRole("button", { pressed: true }).textContent).toBe("bends");
  await userEvent.click(screen.getByRole("button", { name: "breaks" }));
  expect(pick).toHaveBeenCalledWith("breaks");
  await userEvent.tab();
  expect(document.body).toBe(document.activeElement);
});

test("sentences are ticked one by one, and unticked", async () => {
  const change = jest.fn();
  render(<TickList items={["Guard down", "Stop tried"]} ticked={["Guard down"]} disabled={false} onChange={change} />);
  await userEvent.click(screen.getByRole("checkbox", { name: "Stop tried" }));
  await userEvent.click(screen.getByRole("checkbox", { name: "Guard down" }));
  expect(change.mock.calls).toEqual([[["Guard down", "Stop tried"]], [[]]]);
});

test("what waits for the network is listed; what the server would not take is sent again or given up", async () => {
  const [retry, drop] = [jest.fn(), jest.fn()];
  const item = (id: string, more: object) => ({ id, input: { id }, sent: false, ...more });
  const { rerender } = render(
    <Waiting
      items={[item("1", { sent: true }), item("2", {}), item("3", { problem: "The run order is drawn." })]}
      words={(x) => `attempt ${x.id}`}
      onRetry={retry}
      onDrop={drop}
    />,
  );
  const rows = screen.getAllByRole("listitem").map((x) => x.textContent);
  expect(rows.length).toBe(2);
  expect(rows[0]).toContain("attempt 2waits here, also through a reload");
  expect(rows[1]).toContain("The run order is drawn.");
  await userEvent.click(screen.getByRole("button", { name: "send again" }));
  await userEvent.click(screen.getByRole("button", { name: "give it up" }));
  expect([retry.mock.calls, drop.mock.calls]).toEqual([[["3"]], [["3"]]]);
  rerender(<Waiting items={[item("1", { sent: true })]} words={() => ""} onRetry={retry} onDrop={drop} />);
  expect(screen.queryByRole("list")).toBeNull();
});

function Form({ values, children }: { values: object; children: ReactNode }) {
  const form = useForm({ defaultValues: values });
  const now = JSON.stringify(form.watch());
  return (
    <FormProvider {...form}>
      {children}
      <output>{now}</output>
    </FormProvider>
  );
}
const typed = () => JSON.parse(document.querySelector("output")!.textContent!) as Record<string, unknown>;

describe("several choices", () => {
  const options = ["1", "2", "3"].map((value) => ({ value, label: `day ${value}` }));
  const tick = (name: RegExp) => userEvent.click(screen.getByRole("checkbox", { name }));

  test("stand in the order of the list, as numbers where they are", async () => {
    render(
      <Form values={{ days: [3] }}>
        <ChoiceField name="days" label="Days" numeric options={options} />
      </Form>,
    );
    await tick(/day 1/);
    expect(typed().days).toEqual([3, 1]);
    await tick(/day 3/);
    expect(typed().days).toEqual([1]);
  });

  test("or in the order of choosing, which is shown", async () => {
    render(
      <Form values={{ ranks: [] }}>
        <ChoiceField name="ranks" label="Ranks" ordered options={options} />
      </Form>,
    );
    for (const name of [/day 2/, /day 3/, /day 1/]) await tick(name);
    expect(typed().ranks).toEqual(["2", "3", "1"]);
    expect(screen.getByRole("checkbox", { name: /day 3/ }).closest("label")!.textContent).toBe("2. day 3");
    await tick(/day 2/);
    expect(typed().ranks).toEqual(["3", "1"]);
  });

  test("by words they keep the list's order whatever was pressed first", async () => {
    render(
      <Form values={{ words: [] }}>
        <ChoiceField name="words" label="Words" options={options} />
      </Form>,
    );
    for (const name of [/day 3/, /day 1/]) await tick(name);
    expect(typed().words).toEqual(["1", "3"]);
  });
});

test.each([
  ["line", ["Anchors"]],
  ["bands", ["Bands", "Reached when", "Otherwise"]],
  [
    "target",
    ["Target", "Points at the target", "Minus, a step", "Step", "Steps", "Minus more when above", "Not below"],
  ],
  ["ratio", ["Points of the best", "Best is"]],
  ["pass", ["Points", "When the value is", "Limit"]],
  ["levels", ["Levels, or rungs of a ladder", "Below the first rung"]],
  ["place", ["Points by place"]],
  ["", []],
])("a points rule of kind “%s” asks for what it needs and nothing else", (kind, labels) => {
  render(
    <Form values={{ rule: { kind, better: "more", school: "started", comparator: "≤" } }}>
      <RuleFields name="rule" none="no points" />
    </Form>,
  );
  expect([...document.querySelectorAll("label")].map((l) => l.textContent)).toEqual(["Points rule", ...labels]);
});
