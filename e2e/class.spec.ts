// One class from before it begins to after it: purpose and course, attendance by exception, the clock, what was seen.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings, stranger } from "./tools";

const at = `${demoUrl}/p/terrace-pump/class`;

test("a class is planned, begun, taken by exception on a phone, and closed with what was seen", async ({
  browser,
  page,
}) => {
  await enter(page, "Mara");
  const terrace = page.getByRole("region", { name: "Terrace Pump", exact: true });
  await terrace
    .getByRole("link", { name: /^class today: session \d+ of \d+/ })
    .first()
    .click();
  await expect(page.getByRole("heading", { level: 1, name: "Class of section 3" })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await expect(page.getByText(/at the Laser cutter too, 0–15/)).toBeVisible();
  await page.getByLabel("Its course").fill("5 Plan\nBench\n10 Clean up");
  await expect(page.getByText("5–40")).toBeVisible();
  await page.getByRole("button", { name: "Keep for this class" }).click();
  await expect(page.getByText("Kept.")).toBeVisible();

  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 390, height: 844 });
  await enter(phone, "Mara");
  await phone.goto(`${at}?part=during`);
  await expect(phone.getByText("Not taken yet")).toBeVisible();
  expect(await phone.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  await phone.getByRole("button", { name: "The class begins now" }).click();
  await expect(phone.getByRole("timer")).toHaveText(/^[45]:\d\d$/);
  await phone.getByRole("button", { name: "Yuki Sorano not looked yet" }).click();
  await phone.getByRole("menuitem", { name: /^absent/ }).click();
  await expect(phone.getByText(/^13 of 14 here · taken by Mara/)).toBeVisible();
  await phone.getByRole("button", { name: "Hugo Penhallow here" }).click();
  await phone.getByRole("menuitem", { name: /^late/ }).click();
  await phone.getByRole("button", { name: "minutes missed" }).click();
  await phone.getByLabel("Minutes missed").fill("900");
  await phone.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(phone.getByText("At most 600.").first()).toBeVisible();
  await phone.getByLabel("Minutes missed").fill("6");
  await phone.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(phone.getByRole("button", { name: "Hugo Penhallow late 6 min" })).toBeVisible();
  expect(await findings(phone)).toEqual([]);

  await page.goto(`${at}?part=after`);
  const open = page.getByRole("region", { name: "Still open" });
  await expect(open).toContainText("Yuki Sorano (absent)");
  await page.getByLabel(/^What was seen/).fill("Begin with the valves");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByText("Kept: it stands on the page of the next class.")).toBeVisible();
  await page.getByRole("link", { name: /^next:/ }).click();
  await expect(page.getByText("Begin with the valves")).toBeVisible();
  await page.goto(`${at}/attendance`);
  await expect(page.getByRole("row", { name: /Hugo Penhallow/ })).toContainText("late, 2 Mar");
  await page.goto(`${at}/sheet`);
  await expect(page.getByRole("cell", { name: /Yuki Sorano/ })).toBeVisible();
});

test("a student sees no page of a class", async ({ page }) => {
  await enter(page, "Greta");
  for (const path of ["", "/attendance", "/sheet"]) {
    await page.goto(at + path);
    await expect(page.getByRole("heading", { name: "There is no such page here" })).toBeVisible();
  }
  await page.goto(`${demoUrl}/p/terrace-pump`);
  await expect(page.getByRole("link", { name: "Class", exact: true })).toHaveCount(0);
});

test("a finished project's classes are read, and nothing is written down", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump-last-year/class?part=during`);
  await expect(page.getByText("This project is finished: what was written down of its classes")).toBeVisible();
  for (const button of await page.getByRole("region", { name: "Who is here" }).getByRole("button").all())
    await expect(button).toBeDisabled();
  await page.goto(`${demoUrl}/p/terrace-pump-last-year/class?part=after`);
  await expect(page.getByLabel(/^What was seen/)).toBeDisabled();
  expect(await findings(page)).toEqual([]);
});
