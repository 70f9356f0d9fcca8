/** @jest-environment jsdom */
// Jumping by words: what the server finds first, then all texts, then pages of that name; and the keys.
import "./testing/browser";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import JumpPalette from "./jump-palette";
import { forget, went } from "./testing/sent";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);

const pages = [
  { label: "Bench", href: "/p/pump/bench" },
  { label: "Records", href: "/p/pump/records" },
];
const asked: string[] = [];
let found: object[] = [];
let lost = false;
beforeEach(() => {
  forget();
  asked.length = 0;
  found = [];
  lost = false;
  globalThis.fetch = (async (url: string) => {
    asked.push(url);
    if (lost) throw new Error("offline");
    return { ok: true, json: async () => found };
  }) as never;
});
const open = (which: "jump" | "keys" = "jump", texts: string | undefined = "/p/pump/search") => {
  const on = jest.fn();
  render(<JumpPalette url="/api/find?project=x" texts={texts} pages={pages} open={which} onOpen={on} />);
  return on;
};
const options = () => screen.queryAllByRole("option").map((o) => o.textContent);

test("without words the pages are offered; with words those of that name", async () => {
  open();
  expect(options()).toEqual(["pageBench", "pageRecords"]);
  await userEvent.type(screen.getByRole("combobox"), "rec");
  expect(options()).toContain("pageRecords");
  expect(options()).not.toContain("pageBench");
});

test("what is found comes first, and all texts below it; Enter goes there and closes", async () => {
  found = [{ kind: "team", label: "Alder", detail: "section 3", href: "/p/pump/teams/a" }];
  const on = open();
  await userEvent.type(screen.getByRole("combobox"), "ald er");
  await waitFor(() => expect(options()).toEqual(["teamAldersection 3", "textsSearch all texts for “ald er”"]));
  expect(asked.at(-1)).toBe("/api/find?project=x&q=ald%20er");
  await userEvent.keyboard("{Enter}");
  expect(went).toEqual(["/p/pump/teams/a"]);
  expect(on).toHaveBeenCalledWith("");
});

test("outside a project no texts are searched; what is not there is said", async () => {
  render(<JumpPalette url="/api/find?" pages={pages} open="jump" onOpen={() => {}} />);
  await userEvent.type(screen.getByRole("combobox"), "zzz");
  await waitFor(() => expect(asked.at(-1)).toBe("/api/find?&q=zzz"));
  expect(await screen.findByText("Nothing of that name.")).toBeTruthy();
});

test("without a network the pages can still be reached", async () => {
  lost = true;
  open();
  await userEvent.type(screen.getByRole("combobox"), "bench");
  await waitFor(() => expect(asked.at(-1)).toMatch(/q=bench$/));
  await act(async () => {});
  await userEvent.click(screen.getByRole("option", { name: /Bench/ }));
  expect(went).toEqual(["/p/pump/bench"]);
});

test("the keys are listed, and Escape closes them", async () => {
  const on = open("keys");
  expect(screen.getByRole("dialog").textContent).toContain("Alt F, Alt N at the bench");
  await userEvent.keyboard("{Escape}");
  expect(on).toHaveBeenCalledWith("");
});
