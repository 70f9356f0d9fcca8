/** @jest-environment jsdom */
// The handbook as a person uses it: found, typed into, wrong input told, two settings, kept with a build.
import { act, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "@/ui/testing/browser";
import { loadSelect } from "@/ui/select";
import { WorkingProvider } from "@/ui/working";
import { attachUseAction, changeUseAction } from "../actions";
import { handbookHref, type OpenUse } from "../view/handbook";
import { Handbook } from "./handbook";
import type { Keeping } from "./keep-form";

const router = { refresh: () => {}, push: () => {} };
let mockSearch = "";
jest.mock("next/navigation", () => ({
  useRouter: () => router,
  useSearchParams: () => new URLSearchParams(mockSearch),
}));
jest.mock("../actions", () => ({
  attachUseAction: jest.fn(),
  changeUseAction: jest.fn(),
  withdrawUseAction: jest.fn(),
}));
const kept = attachUseAction as unknown as jest.Mock;
const changed = changeUseAction as unknown as jest.Mock;

beforeAll(() => loadSelect());
beforeEach(() => {
  for (const f of [kept, changed]) f.mockReset().mockResolvedValue({ ok: true, value: { id: "x" } });
  window.history.replaceState(null, "", "/");
});

const build = "0190a0b0-0000-7000-8000-000000000b01";
const targets = [{ kind: "build", id: build, label: "Alder G1" }] as const;
const open = (search: string, keeping?: Keeping) => {
  mockSearch = search.split("?")[1] ?? "";
  return render(
    <WorkingProvider>
      <Handbook base="/p/pump" units="metric" keeping={keeping} />
    </WorkingProvider>,
  );
};
const type = async (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
const results = () => within(screen.getByRole("heading", { name: "It comes to" }).closest("section")!);

test("a calculator is found by a word, and its link holds what a calculation is for", async () => {
  open("/handbook?for=build+1");
  expect(screen.getAllByRole("link").length).toBeGreaterThan(40);
  await userEvent.type(screen.getByLabelText("Find a calculator"), "battery");
  const [only, ...more] = screen.getAllByRole("link", { name: /Battery/ });
  expect(more).toEqual([]);
  expect(only!.getAttribute("href")).toBe("/p/pump/handbook?c=battery&for=build+1");
  await userEvent.click(only!);
  expect(window.location.search).toBe("?c=battery&for=build+1");
  await userEvent.type(screen.getByLabelText("Find a calculator"), "zzz");
  expect(screen.getByText("Nothing is called so. Try a shorter word.")).toBeTruthy();
});

test("a result follows what is typed; wrong input is told at its field and stays", async () => {
  open(handbookHref("", "lever", { inputs: { a: "300 mm" } }));
  expect(results().getByText("100 ± 10")).toBeTruthy();
  await type("Force at the handle".toLowerCase(), "80");
  expect(results().getByText("160.0")).toBeTruthy();
  // The address has the last key at once: a page that is loaded again loses nothing.
  expect(window.location.search).toContain("i.F1=80");
  await type("force at the handle", "80 kg");
  expect(screen.getByRole("alert").textContent).toContain("this field takes a force");
  expect(screen.getByLabelText("force at the handle").getAttribute("aria-invalid")).toBe("true");
  expect(results().getByText(/Nothing yet/)).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "start over" }));
  expect(results().getByText("200 ± 20")).toBeTruthy();
});

test("two settings stand beside each other with their difference", async () => {
  open(handbookHref("", "gear-pair"));
  await userEvent.click(screen.getByRole("button", { name: "compare two settings" }));
  await type("teeth of the driven gear, second", "48");
  const row = results().getByRole("row", { name: /^Speed of the driven gear/i });
  expect(
    within(row)
      .getAllByRole("cell")
      .map((c) => c.textContent),
  ).toEqual(["speed of the driven gear rpm", "100.0", "75.00", "−25.00, −25 %"]);
});

test("limits are told beside the result; a figure opens its working", async () => {
  open(handbookHref("", "wind-power", { inputs: { P: "9" } }));
  expect(screen.getByRole("status").textContent).toContain("the limit of Betz");
  await act(async () => results().getAllByRole("button")[0]!.click());
  expect((await screen.findByRole("dialog")).textContent).toContain("power of the wind: W = 0.5 × ρ × A × v^3");
});

test("what was computed is kept with its inputs, once; without a choice nothing is sent", async () => {
  open(handbookHref("", "lever", { inputs: { a: "300" } }), { targets, use: null });
  await userEvent.click(screen.getByRole("button", { name: "Keep it" }));
  expect(kept).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole("combobox", { name: "What it was made for" }));
  await userEvent.click(screen.getByRole("option", { name: "a build: Alder G1" }));
  await userEvent.type(screen.getByLabelText("Note"), "handle");
  await userEvent.click(screen.getByRole("button", { name: "Keep it" }));
  await waitFor(() => expect(kept).toHaveBeenCalledTimes(1));
  expect(kept.mock.calls[0]![0]).toMatchObject({
    kind: "build",
    targetId: build,
    calculator: "lever",
    units: "metric",
    note: "handle",
    inputs: { F1: "50 ± 5", a: "300", b: "150", s1: "300" },
  });
});

test("a kept calculation opens with its inputs and units, and is corrected in place", async () => {
  const use: OpenUse = {
    id: "0190a0b0-0000-7000-8000-000000000c01",
    inputs: { F1: "10" },
    units: "us",
    note: "first",
    version: 3,
    targetId: build,
  };
  open(`/handbook?c=lever&use=${use.id}`, { targets, use });
  expect(screen.getByLabelText<HTMLInputElement>("force at the handle").value).toBe("10");
  expect(results().getAllByText("lbf").length).toBe(1);
  await type("force at the handle", "12");
  await userEvent.click(screen.getByRole("button", { name: "Save what was changed" }));
  await waitFor(() => expect(changed).toHaveBeenCalledTimes(1));
  expect(changed.mock.calls[0]![0]).toMatchObject({ id: use.id, version: 3, units: "us", inputs: { F1: "12" } });
});

test("what was saved stays said when the page has it; what somebody else saved is not written over", async () => {
  const use: OpenUse = {
    id: "0190a0b0-0000-7000-8000-000000000c01",
    inputs: { F1: "10" },
    units: "us",
    note: "first",
    version: 3,
    targetId: build,
  };
  const { rerender } = open(`/handbook?c=lever&use=${use.id}`, { targets, use });
  const page = (now: OpenUse) =>
    rerender(
      <WorkingProvider>
        <Handbook base="/p/pump" units="metric" keeping={{ targets, use: now }} />
      </WorkingProvider>,
    );
  const save = screen.getByRole("button", { name: "Save what was changed" });
  await type("force at the handle", "12");
  await userEvent.click(save);
  await waitFor(() => expect(changed).toHaveBeenCalledTimes(1));
  page({ ...use, version: 4, inputs: changed.mock.calls[0]![0].inputs });
  expect(screen.getByText("Saved.")).toBeTruthy();
  await type("force at the handle", "13");
  page({ ...use, version: 5, inputs: { ...use.inputs, F1: "99" } });
  await userEvent.click(save);
  await waitFor(() => expect(changed).toHaveBeenCalledTimes(2));
  expect(changed.mock.calls[1]![0]).toMatchObject({ version: 4, inputs: { F1: "13" } });
});

test("a truss and a part are typed line by line, drawn, and listed", async () => {
  const { unmount } = open(handbookHref("", "truss"));
  expect(screen.getByRole("img").getAttribute("aria-label")).toContain("a truss of 5 joints and 7 members");
  expect(results().getByText("member D–E, pressed")).toBeTruthy();
  unmount();
  open(handbookHref("", "outline", { inputs: { corners: "0 0\n10 10\n10 0\n0 10" } }));
  expect(screen.getByText(/Side 1 crosses side 3/)).toBeTruthy();
});
