// The whole of a team and of a student in one screen, from where they are named.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump`;

test("an instructor goes from the class to a team and to one of its students; a student to the own team alone", async ({
  browser,
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${base}/class?part=before`);
  await page
    .getByRole("row", { name: /Downpour/ })
    .getByRole("link", { name: "Downpour" })
    .click();
  await expect(page.getByRole("heading", { level: 1, name: "Team Downpour" })).toBeVisible();
  await expect(page.getByRole("heading", { name: "Where to look" })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("link", { name: "Greta Malik" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Greta Malik" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Grade" })).toContainText("%");
  expect(await findings(page)).toEqual([]);
  const address = page.url();

  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 390, height: 844 });
  await enter(phone, "Greta");
  await phone.goto(`${base}/teams`);
  await phone.getByRole("link", { name: "Downpour" }).click();
  await expect(phone.getByRole("heading", { level: 1, name: "Team Downpour" })).toBeVisible();
  await expect(phone.getByRole("heading", { name: "Where to look" })).toHaveCount(0);
  expect(await phone.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  expect(await findings(phone)).toEqual([]);
  await phone.goto(address);
  await expect(phone.getByRole("heading", { name: "There is no such page here" })).toBeVisible();
});

test("a head of department sees all projects, the machines' loads and results by edition, and no student", async ({
  browser,
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/school`);
  await page.getByRole("link", { name: "Department" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Department" })).toBeVisible();
  await expect(page.getByRole("row", { name: /^Terrace Pump Mara/ })).toContainText("session 19 of 29");
  await expect(page.getByRole("row", { name: /^Laser cutter/ })).toContainText(/\d+/);
  await expect(page.getByRole("region", { name: "Editions of Terrace Pump", exact: true })).toContainText(
    "Terrace Pump, last year",
  );
  await expect(page.getByRole("main")).not.toContainText("Greta");
  expect(await findings(page)).toEqual([]);

  await page.goto(`${demoUrl}/school`);
  await page.getByRole("button", { name: /^heads the department.*Tomas/ }).click();
  await expect(page.getByRole("button", { name: /^no longer.*Tomas/ })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  const tomas = await stranger(browser);
  await enter(tomas, "Tomas");
  await tomas.getByRole("link", { name: "Department", exact: true }).click();
  await expect(tomas.getByRole("row", { name: /^Seed Dryer/ })).toBeVisible();
  await tomas.goto(`${demoUrl}/school`);
  await expect(tomas.getByRole("heading", { name: "There is no such page here" })).toBeVisible();

  const ines = await stranger(browser);
  await enter(ines, "Ines");
  await ines.goto(`${demoUrl}/school/department`);
  await expect(ines.getByRole("heading", { name: "There is no such page here" })).toBeVisible();
});
