/** @jest-environment jsdom */
// The one table: it sorts, filters, copies and is gone through by keys, also when it is long.
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { DataTable } from "./table";
import { useChosen } from "./table-chosen";
import type { Row } from "./table-rows";

const columns = [
  { key: "name", text: "Team" },
  { key: "mass", text: "Mass (kg)", num: true },
];
const rows: Row[] = ["Birch 6", "Alder 10", "Cedar 2", "Dogwood", "Elm 3", "Fir 7"].map((t) => {
  const [name, mass] = t.split(" ");
  return { id: name!, cells: { name: name!, mass: mass ? Number(mass) : null } };
});
const lines = () => [...document.querySelectorAll<HTMLTableRowElement>("tr[data-row]")];
const names = () => lines().map((r) => r.cells[0]!.textContent);
const show = (list = rows, more = {}) => render(<DataTable caption="Teams" columns={columns} rows={list} {...more} />);

test("it stands in its own order until a heading is pressed; numbers sort as numbers, a gap is least", async () => {
  show();
  expect(names()).toEqual(["Birch", "Alder", "Cedar", "Dogwood", "Elm", "Fir"]);
  const mass = screen.getByRole("button", { name: /Mass/ });
  await userEvent.click(mass);
  const falling = ["Alder", "Fir", "Birch", "Elm", "Cedar", "Dogwood"];
  expect(names()).toEqual(falling);
  expect(screen.getByRole("columnheader", { name: /Mass/ }).getAttribute("aria-sort")).toBe("descending");
  await userEvent.click(mass);
  expect(names()).toEqual([...falling].reverse());
  await userEvent.click(mass);
  expect(names()[0]).toBe("Birch");
});

test("words filter the rows, how many is said, and no hit keeps the words", async () => {
  show();
  const filter = screen.getByRole("searchbox");
  await userEvent.type(filter, "ir");
  expect(names()).toEqual(["Birch", "Fir"]);
  expect(screen.getByText("2 of 6")).toBeTruthy();
  await userEvent.type(filter, "x");
  expect(names()).toEqual([]);
  expect(screen.getByText("Nothing fits “irx”.")).toBeTruthy();
});

test("names stand where people look for them, and words find them without their marks", async () => {
  const people = ["Team 10", "Zoe", "Ångström", "Team 2", "Çelik", "Dora"].map((name) => ({
    id: name,
    cells: { name },
  }));
  show(people as never);
  const heading = screen.getByRole("button", { name: /Team/ });
  await userEvent.click(heading);
  const sorted = names();
  if (sorted[0] === "Zoe") await userEvent.click(heading);
  expect(names()).toEqual(["Ångström", "Çelik", "Dora", "Team 2", "Team 10", "Zoe"]);
  await userEvent.type(screen.getByRole("searchbox"), "angstr");
  expect(names()).toEqual(["Ångström"]);
});

test("what is copied is what is shown, in its order", async () => {
  const user = userEvent.setup();
  show();
  await user.type(screen.getByRole("searchbox"), "ir");
  await user.click(screen.getByRole("button", { name: /Mass/ }));
  await user.click(screen.getByRole("button", { name: /Copy/ }));
  expect(await navigator.clipboard.readText()).toBe("Team\tMass (kg)\nFir\t7\nBirch\t6");
});

test("arrow keys go from row to row, and one row alone is in the tab order", async () => {
  show();
  const all = lines();
  act(() => all[0]!.focus());
  await userEvent.keyboard("{ArrowDown}{ArrowDown}{ArrowUp}");
  expect(document.activeElement).toBe(all[1]);
  await userEvent.keyboard("{End}");
  expect(document.activeElement).toBe(all[5]);
  expect(all.map((r) => r.tabIndex)).toEqual([-1, -1, -1, -1, -1, 0]);
});

test("Enter on a row follows its link; a key typed in a field of a row moves nothing", async () => {
  const followed = jest.fn((e: { preventDefault(): void }) => e.preventDefault());
  show([
    {
      id: "1",
      cells: {
        name: {
          value: "Alder",
          show: (
            <a href="/alder" onClick={followed}>
              Alder
            </a>
          ),
        },
        mass: { value: 1, show: <input aria-label="Mass" /> },
      },
    },
    rows[0]!,
  ]);
  act(() => screen.getAllByRole("row")[1]!.focus());
  await userEvent.keyboard("{Enter}");
  expect(followed).toHaveBeenCalledTimes(1);
  const field = screen.getByLabelText("Mass");
  await userEvent.type(field, "1{Home}{ArrowDown}");
  expect(document.activeElement).toBe(field);
});

test("groups have their bands until the table is sorted", async () => {
  show(
    rows.map((r, i) => ({ ...r, group: i < 3 ? "a" : "b" })),
    { groups: { a: "Section 3" } },
  );
  expect(screen.getByText("Section 3")).toBeTruthy();
  expect(screen.getByText("b")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Team" }));
  expect(screen.queryByText("Section 3")).toBeNull();
});

test("a row's detail stands under it, and the foot stays last however the table is sorted", async () => {
  show(
    rows.map((r) => ({ ...r, detail: r.id === "Cedar" && "Cedar in detail" })),
    {
      foot: (
        <tr>
          <td>the next one</td>
        </tr>
      ),
    },
  );
  await userEvent.click(screen.getByRole("button", { name: /Mass/ }));
  const text = screen.getAllByRole("row").map((r) => r.textContent);
  expect(text.indexOf("Cedar in detail")).toBe(text.findIndex((t) => t?.startsWith("Cedar2")) + 1);
  expect(text.at(-1)).toBe("the next one");
});

test("one of many small tables on a page has no filter", () => {
  show(rows, { filtered: false });
  expect(screen.queryByRole("searchbox")).toBeNull();
  expect(screen.getByText("Copy for a spreadsheet")).toBeTruthy();
});

test("of 1,500 rows the first are laid out; filter and sort reach all, and printing lays out all", async () => {
  show(Array.from({ length: 1500 }, (_, i) => ({ id: `${i}`, cells: { name: `Student ${i}`, mass: i } })));
  expect(names()).toHaveLength(150);
  expect(screen.getByText("and 1350 more")).toBeTruthy();
  await userEvent.click(screen.getByText("Mass (kg)"));
  expect(names()[0]).toBe("Student 1499");
  const filter = screen.getByLabelText("Filter Teams");
  await userEvent.type(filter, "1234");
  expect(names()).toEqual(["Student 1234"]);
  await userEvent.clear(filter);
  act(() => void window.dispatchEvent(new Event("beforeprint")));
  expect(names()).toHaveLength(1500);
});

function Act() {
  const { ids, end } = useChosen();
  return (
    <button type="button" onClick={end}>
      act on {ids.join("+")}
    </button>
  );
}

test("several rows are ticked, alone or all that a filter shows, and what is done to them finds them", async () => {
  show(rows, { many: <Act /> });
  expect(screen.queryByRole("checkbox")).toBeNull();
  await userEvent.click(screen.getByText("Choose several"));
  expect(screen.queryByText(/act on/)).toBeNull();
  await userEvent.click(screen.getByRole("checkbox", { name: "Cedar" }));
  await userEvent.type(screen.getByLabelText("Filter Teams"), "ir");
  await userEvent.click(screen.getByRole("checkbox", { name: "all that are shown" }));
  expect(screen.getByText("3 chosen")).toBeTruthy();
  await userEvent.click(screen.getByRole("checkbox", { name: "Fir" }));
  await userEvent.click(screen.getByText("act on Cedar+Birch"));
  expect(screen.queryByRole("checkbox")).toBeNull();
});
