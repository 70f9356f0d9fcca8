// The gradebook typed into like a sheet, by keys alone: a student, a team, from a spreadsheet, undone, off line.
import { expect, type Page, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn } from "./tools";

const base = `${demoUrl}/p/terrace-pump/grades`;
const cell = (page: Page, name: string, column: number) =>
  page
    .getByRole("row", { name: new RegExp(`^${name}`) })
    .locator("[data-at]")
    .nth(column);
const notebook = 3;

test("marks are typed, pasted, given to a team and taken back by keys; the network may go meanwhile", async ({
  page,
  context,
}) => {
  await enter(page, "Mara");
  await page.goto(base);
  await expect(page.getByRole("grid", { name: "Marks" })).toBeVisible();
  const alive = () => expect(page.getByLabel("Filter the gradebook")).toBeEnabled();
  await alive();
  const all = await page.getByRole("rowheader").allInnerTexts();
  const [first, second, third] = all as [string, string, string];
  const before = await Promise.all([first, second, third].map((n) => cell(page, n, notebook).innerText()));

  // From the first cell of the grid to the notebook's, and a mark on its scale of 20 points.
  await focusOn(cell(page, first, 0));
  for (let i = 0; i < notebook; i++) await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("status").filter({ hasText: `${first}, Notebook` })).toContainText("points of 20");
  await page.keyboard.type("19 neat");
  await page.keyboard.press("Enter");
  await expect(cell(page, first, notebook)).toHaveText("95.0");
  await expect(cell(page, second, notebook)).toBeFocused();

  // What cannot be read stays with its reason, also when the page is loaded again.
  await page.keyboard.type("25");
  await page.keyboard.press("Enter");
  await page.keyboard.press("ArrowUp");
  await expect(page.getByText("“25” is not saved. That is 125 %: from 0 to 120 % are taken.")).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.reload();
  await alive();
  await expect(cell(page, second, notebook)).toHaveText("25");
  await focusOn(cell(page, second, notebook));

  // Without a network what is typed waits in the browser, and is sent when it is back.
  await context.setOffline(true);
  await page.keyboard.type("12");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("list", { name: "Waiting for the network" })).toContainText(`${second}, Notebook`);
  await context.setOffline(false);
  await expect(page.getByRole("list", { name: "Waiting for the network" })).toHaveCount(0, { timeout: 15_000 });
  await expect(cell(page, second, notebook)).toHaveText("60.0");

  // Pasted as one write, and undone as one.
  await cell(page, first, notebook).click();
  await cell(page, first, notebook).evaluate((at) => {
    const data = new DataTransfer();
    data.setData("text/plain", "10\n11\n12");
    at.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true }));
  });
  for (const [i, name] of [first, second, third].entries())
    await expect(cell(page, name, notebook)).toHaveText(["50.0", "55.0", "60.0"][i]!);
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();
  await focusOn(cell(page, first, notebook));
  await page.keyboard.press("Control+z");
  await expect(cell(page, first, notebook)).toHaveText("95.0");
  await expect(cell(page, third, notebook)).toHaveText(before[2]!);

  // A mark for every team: a digit and Enter each.
  await choose(page.getByLabel("A row for"), { label: "each team" });
  const teams = await page.getByRole("rowheader").allInnerTexts();
  await focusOn(cell(page, teams[0]!, notebook));
  await cell(page, teams[0]!, notebook).click();
  for (let i = 0; i < teams.length; i++) {
    await page.keyboard.press(String(i % 10));
    await page.keyboard.press("Enter");
  }
  for (const [i, team] of teams.entries()) await expect(cell(page, team, notebook)).toHaveText(`${(5 * i).toFixed(1)}`);
  // The demo's marks come back, a write at a time.
  for (let i = 0; i < teams.length; i++) {
    await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();
    await page.getByRole("button", { name: "Undo" }).press("Enter");
    await expect(cell(page, teams[teams.length - 1 - i]!, notebook)).not.toHaveText(
      `${(5 * (teams.length - 1 - i)).toFixed(1)}`,
    );
  }
  await choose(page.getByLabel("A row for"), { label: "each student" });
  await expect(cell(page, first, notebook)).toHaveText("95.0");
});
