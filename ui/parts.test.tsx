/** @jest-environment jsdom */
// What every form and page is made of: each part by pointer and by keyboard, and what it keeps.
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { renderToString } from "react-dom/server";
import { Checkbox } from "./checkbox";
import { Confirm } from "./confirm";
import { Fold } from "./fold";
import { WithdrawButton } from "./form/withdraw-button";
import { loadMenu, Menu } from "./menu";
import { Panels } from "./panels";
import { loadSelect, Select } from "./select";
import { tip } from "./tip";
import { Tips } from "./tips";
import { toast } from "./toast";
import { Toasts } from "./toasts";

jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh: () => {}, push: () => {} }) }));

beforeAll(() => Promise.all([loadSelect(), loadMenu()]));

const stages = [
  { value: "sketch", label: "a sketch model that shows how it works" },
  { value: "prototype", label: "a prototype that is tested on the bench" },
];

function Chooser({ heard, empty }: { heard: jest.Mock; empty?: string }) {
  const [value, setValue] = useState("");
  return (
    <Select
      aria-label="Stage"
      value={value}
      empty={empty}
      options={stages}
      onChange={(v) => {
        heard(v);
        setValue(v);
      }}
    />
  );
}

test("a select says what is chosen in full, by keys alone", async () => {
  const heard = jest.fn();
  render(<Chooser heard={heard} />);
  const box = screen.getByRole("combobox", { name: "Stage" });
  expect(box.textContent).toBe("choose");
  act(() => box.focus());
  await userEvent.keyboard("{Enter}{ArrowDown}{Enter}");
  expect(heard.mock.calls).toEqual([["prototype"]]);
  expect(box.textContent).toBe("a prototype that is tested on the bench");
});

test("a choice of nothing is the empty text", async () => {
  const heard = jest.fn();
  render(<Chooser heard={heard} empty="not said" />);
  const box = screen.getByRole("combobox", { name: "Stage" });
  expect(box.textContent).toBe("not said");
  act(() => box.focus());
  await userEvent.keyboard("{Enter}{ArrowDown}{Enter}");
  await userEvent.keyboard("{Enter}{ArrowUp}{Enter}");
  expect(heard.mock.calls).toEqual([["sketch"], [""]]);
});

test("until its list is there a select shows what is chosen, and stays closed", () => {
  const closed = renderToString(<Select aria-label="Stage" value="sketch" options={stages} onChange={() => {}} />);
  expect(closed).toContain("a sketch model that shows how it works");
  expect(closed).toMatch(/<button[^>]* disabled=""/);
});

test("a select that is closed by Escape has chosen nothing", async () => {
  const heard = jest.fn();
  render(<Chooser heard={heard} />);
  act(() => screen.getByRole("combobox").focus());
  await userEvent.keyboard("{Enter}{ArrowDown}{Escape}");
  expect(heard).not.toHaveBeenCalled();
  expect(screen.queryByRole("listbox")).toBeNull();
});

test("a box is ticked by its label and by the space bar", async () => {
  const heard = jest.fn();
  render(
    <label>
      <Checkbox checked={false} onChange={heard} /> handed in
    </label>,
  );
  await userEvent.click(screen.getByText("handed in"));
  act(() => screen.getByRole("checkbox", { name: "handed in" }).focus());
  await userEvent.keyboard(" ");
  expect(heard.mock.calls).toEqual([[true], [true]]);
});

test("what was typed inside a fold is there when it is unfolded again", async () => {
  render(
    <Fold label="own date">
      <input aria-label="Date" />
    </Fold>,
  );
  expect(screen.queryByLabelText("Date")).toBeNull();
  const line = screen.getByRole("button", { name: "own date" });
  await userEvent.click(line);
  await userEvent.type(screen.getByLabelText("Date"), "2027-02-03");
  await userEvent.click(line);
  expect(line.getAttribute("aria-expanded")).toBe("false");
  await userEvent.click(line);
  expect((screen.getByLabelText("Date") as HTMLInputElement).value).toBe("2027-02-03");
});

function Asking({ done }: { done: jest.Mock }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        remove
      </button>
      <Confirm open={open} onOpen={setOpen} onYes={done}>
        The task goes.
      </Confirm>
    </>
  );
}

test("before something goes the safe answer has the focus; Escape and Enter do nothing, yes does it", async () => {
  const done = jest.fn();
  render(<Asking done={done} />);
  const remove = screen.getByRole("button", { name: "remove" });
  await userEvent.click(remove);
  expect(screen.getByRole("alertdialog").textContent).toContain("The task goes.");
  expect(document.activeElement).toBe(screen.getByRole("button", { name: "No" }));
  await userEvent.keyboard("{Escape}");
  await userEvent.click(remove);
  await userEvent.keyboard("{Enter}");
  expect(done).not.toHaveBeenCalled();
  expect(screen.queryByRole("alertdialog")).toBeNull();
  await userEvent.click(remove);
  await userEvent.click(screen.getByRole("button", { name: "Yes, do it" }));
  expect(done).toHaveBeenCalledTimes(1);
});

test("a menu opens by keys and does what is chosen", async () => {
  const out = jest.fn();
  render(
    <Menu
      label="Me"
      trigger="MO"
      items={[
        { label: "Settings", onSelect: () => {} },
        { label: "Sign out", onSelect: out },
      ]}
    />,
  );
  act(() => screen.getByRole("button", { name: "Me" }).focus());
  await userEvent.keyboard("{Enter}{ArrowDown}{Enter}");
  expect(out).toHaveBeenCalledTimes(1);
});

test("of panels one is shown; the arrow keys go on to the next", async () => {
  const heard = jest.fn();
  render(
    <Panels
      label="How"
      value="hand"
      onChange={heard}
      panels={[
        { value: "hand", label: "by hand", content: "typed" },
        { value: "pairs", label: "two by two", content: "compared" },
      ]}
    />,
  );
  expect(screen.getByText("typed")).toBeTruthy();
  expect(screen.queryByText("compared")).toBeNull();
  act(() => screen.getByRole("tab", { name: "by hand" }).focus());
  await userEvent.keyboard("{ArrowRight}");
  expect(heard).toHaveBeenCalledWith("pairs");
});

describe("hints", () => {
  const shown = () => screen.queryByRole("tooltip")?.textContent ?? null;
  const open = () =>
    render(
      <>
        <button type="button" {...tip("0.42 kg over the limit")}>
          6.42
        </button>
        <button type="button" data-tip="" aria-describedby="how">
          7.40
        </button>
        <p id="how" hidden>
          Press W for the working
        </p>
        <Tips />
      </>,
    );

  test("come by the keyboard at once, and go by Escape", async () => {
    open();
    await userEvent.tab();
    expect(await screen.findByRole("tooltip")).toBeTruthy();
    expect(shown()).toBe("0.42 kg over the limit");
    await userEvent.keyboard("{Escape}");
    expect(shown()).toBeNull();
  });

  test("come from where the element says that its text stands", async () => {
    open();
    await userEvent.tab();
    await userEvent.tab();
    expect((await screen.findByRole("tooltip")).textContent).toBe("Press W for the working");
  });

  test("an element without a text has none", () => {
    expect([tip(null), tip(""), tip(false)]).toEqual([{}, {}, {}]);
  });
});

test("short notices stand one beside the other, wherever they were said", async () => {
  render(<Toasts undo={jest.fn()} />);
  act(() => {
    toast("The build is recorded.");
    toast("2 rows copied for a spreadsheet.");
  });
  expect(screen.getAllByText("The build is recorded.").length).toBeGreaterThan(0);
  expect(screen.getAllByText("2 rows copied for a spreadsheet.").length).toBeGreaterThan(0);
});

test("what is said before anybody can show it is shown then, once", async () => {
  toast("Saved while the page was loading.");
  const { unmount } = render(<Toasts undo={jest.fn()} />);
  expect((await screen.findAllByText("Saved while the page was loading.")).length).toBeGreaterThan(0);
  unmount();
  render(<Toasts undo={jest.fn()} />);
  expect(screen.queryByText("Saved while the page was loading.")).toBeNull();
});

test("what was taken out can be brought back from its notice", async () => {
  const undo = jest.fn().mockResolvedValue({ ok: true, value: null });
  render(<Toasts undo={undo} />);
  act(() => toast("Cistern G4: taken out.", "w1"));
  await userEvent.click(await screen.findByRole("button", { name: "Bring it back" }));
  expect(undo).toHaveBeenCalledWith({ id: "w1" }, expect.objectContaining({ requestId: expect.any(String) }));
  await waitFor(() => expect(screen.getAllByText("It is back.").length).toBeGreaterThan(0));
});

describe("WithdrawButton", () => {
  const went = { ok: true, value: { withdrawn: "w1", label: "Cistern G4" } } as const;

  test("something small goes at a press", async () => {
    const action = jest.fn().mockResolvedValue(went);
    render(
      <WithdrawButton action={action} id="t1">
        remove
      </WithdrawButton>,
    );
    await userEvent.click(screen.getByRole("button", { name: "remove" }));
    expect(action).toHaveBeenCalledWith({ id: "t1", reason: "" }, expect.anything());
  });

  test("something large says what goes along and waits for a reason", async () => {
    const action = jest.fn().mockResolvedValue(went);
    render(
      <WithdrawButton action={action} id="b1" says="Its runs go with it.">
        Withdraw
      </WithdrawButton>,
    );
    await userEvent.click(screen.getByRole("button", { name: "Withdraw" }));
    const yes = await screen.findByRole("button", { name: "Withdraw it" });
    expect(screen.getByText(/Its runs go with it/)).toBeTruthy();
    expect(yes.hasAttribute("disabled")).toBe(true);
    await userEvent.type(screen.getByRole("textbox"), "Recorded twice");
    await userEvent.click(yes);
    expect(action).toHaveBeenCalledWith({ id: "b1", reason: "Recorded twice" }, expect.anything());
  });
});
