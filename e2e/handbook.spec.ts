// The handbook: found from a mass limit, typed into, kept there; by a student's phone; without a network.
import { expect, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump`;

test("from a mass limit to its calculator, and what was computed stands beside the limit", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${base}/needs`);
  await page.getByRole("link", { name: "R-03", exact: true }).first().click();
  const beside = page.getByRole("region", { name: "From the handbook" });
  await beside.getByRole("link", { name: "mass saving", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Mass saving", level: 1 })).toBeVisible();
  const limit = page.getByLabel("limit", { exact: true });
  await expect(limit).toBeEnabled();
  await page.getByLabel("mass of the whole now", { exact: true }).fill("5.2 ± 0.02 kg");
  await page.getByLabel("thickness then", { exact: true }).fill("5 kg");
  await expect(page.getByText(/this field takes a length/)).toBeVisible();
  await page.getByLabel("thickness then", { exact: true }).fill("5");
  await expect(page.getByText(/5\.\d+ ± 0\.020/).first()).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.reload();
  await expect(page.getByLabel("mass of the whole now", { exact: true })).toHaveValue("5.2 ± 0.02 kg");
  await expect(page.getByRole("combobox", { name: "What it was made for" })).toContainText("a requirement: R-03");
  await page.getByLabel("Note").fill("ribbed side plates");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText("Kept. It stands where it was kept")).toBeVisible();

  await page.goto(`${base}/needs?r=R-03`);
  const kept = beside.getByRole("listitem").filter({ hasText: "ribbed side plates" });
  await expect(kept).toContainText("m = 5.2 ± 0.02 kg");
  await kept.getByRole("button").first().click();
  await expect(page.getByRole("dialog")).toContainText("saved: s = ρ × (A × t1 − (A − o) × t2)");
  await page.keyboard.press("Escape");
  expect(await findings(page)).toEqual([]);
  // Corrected in place, and taken away.
  await kept.getByRole("link", { name: "Mass saving" }).click();
  await expect(page.getByRole("heading", { name: "This calculation is kept" })).toBeVisible();
  await page.getByLabel("Note").fill("ribbed side plates, twice");
  await page.getByRole("button", { name: "Save what was changed" }).click();
  await expect(page.getByText("Saved.", { exact: true })).toBeVisible();
  await page.goto(`${base}/needs?r=R-03`);
  await kept.filter({ hasText: "twice" }).getByRole("link", { name: "Mass saving" }).click();
  await page.getByRole("button", { name: "withdraw" }).click();
  await expect(page.getByRole("heading", { name: "Handbook", level: 1 })).toBeVisible();
  await page.goto(`${base}/needs?r=R-03`);
  await expect(beside.getByRole("listitem").first()).toBeVisible();
  await expect(kept).toHaveCount(0);
});

test("a student's phone: found, computed and kept with the own build by keys", async ({ browser }) => {
  const page = await stranger(browser);
  await page.setViewportSize({ width: 390, height: 844 });
  await enter(page, "Ines Castellane");
  await page.goto(`${base}/handbook`);
  const find = page.getByLabel("Find a calculator");
  await expect(find).toBeEnabled();
  await focusOn(find);
  await page.keyboard.type("lever");
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Lever" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Lever", level: 1 })).toBeVisible();
  await page.getByLabel("force at the handle", { exact: true }).fill("40");
  await expect(page.getByText("160.0")).toBeVisible();
  expect(await page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  expect(await findings(page)).toEqual([]);
  await choose(page.getByLabel("What it was made for"), { label: "a build: Alder G3" });
  await page.getByLabel("Note").fill("handle on the phone");
  await page.getByRole("button", { name: "Keep it" }).press("Enter");
  await expect(page.getByText("Kept. It stands where it was kept")).toBeVisible();
  await page.goto(`${base}/builds`);
  await page.getByRole("link", { name: "Alder G3" }).first().click();
  await expect(page.getByRole("region", { name: "From the handbook" })).toContainText("handle on the phone");
});

test("the handbook opens without a network, with whatever calculator the address names", async ({ page, context }) => {
  await page.goto(`${demoUrl}/handbook`);
  await expect(page.getByText("The calculators open without a network at")).toBeVisible();
  await context.setOffline(true);
  await page.goto(`${demoUrl}/handbook?c=battery&units=us`);
  await expect(page.getByRole("heading", { name: "Battery run time", level: 1 })).toBeVisible();
  await page.getByLabel("mean current", { exact: true }).fill("100");
  await expect(page.getByText("16.00")).toBeVisible();
  await page.getByRole("link", { name: "Handbook", exact: true }).click();
  await page.getByRole("link", { name: "Average speed" }).click();
  await expect(page.getByLabel("distance", { exact: true })).toHaveValue("32.81");
  await context.setOffline(false);
  await page.getByRole("link", { name: "Handbook", exact: true }).click();
  expect(await findings(page)).toEqual([]);
});

test("an exercise is answered and explained; the instructor sees who needs what", async ({ page, browser }) => {
  const student = await stranger(browser);
  await student.setViewportSize({ width: 390, height: 844 });
  await enter(student, "Ines Castellane");
  await student.goto(`${base}/handbook/trainer?kind=pair`);
  await expect(student.getByRole("heading", { name: "Spot the confounded pair" })).toBeVisible();
  const shown = student.url();
  // The one with several changes, by keys.
  const option = student.getByRole("radio", { name: /;/ });
  await expect(option).toBeEnabled();
  await focusOn(option);
  await student.keyboard.press("Space");
  await student.getByRole("button", { name: "Answer" }).press("Enter");
  await expect(student.getByRole("status").filter({ hasText: "Right." })).toContainText("nobody knows which of them");
  expect(await findings(student)).toEqual([]);
  await student.goto(shown);
  await expect(student.getByRole("heading", { name: "Spot the confounded pair" })).toBeVisible();
  await student.goto(`${base}/handbook/trainer?kind=round`);
  await student.getByPlaceholder("8.62 ± 0.09").fill("about eight");
  await student.getByRole("button", { name: "Answer" }).click();
  await expect(student.getByText("Write a value and its ±, for example 8.62 ± 0.09.")).toBeVisible();
  await expect(student.getByPlaceholder("8.62 ± 0.09")).toHaveValue("about eight");
  await expect(student.getByText("Who needs what")).toHaveCount(0);

  await enter(page, "Mara");
  await page.goto(`${base}/handbook/trainer`);
  await expect(page.getByRole("heading", { name: "Who needs what" })).toBeVisible();
  await expect(page.getByRole("row", { name: /^Ines Castellane/ })).toContainText(/\d of \d/);
  await expect(page.getByText(/needs it/).first()).toBeVisible();
  expect(await findings(page)).toEqual([]);
});

test("what was tried at a machine is recorded, corrected by the instructor, withdrawn and brought back", async ({
  page,
  browser,
}) => {
  const student = await stranger(browser);
  await student.setViewportSize({ width: 390, height: 844 });
  await enter(student, "Ines Castellane");
  await student.goto(`${base}/shop/settings`);
  await expect(student.getByRole("note")).toContainText("A record, not advice.");
  await student.getByRole("button", { name: "Record what was tried" }).click();
  await student.getByRole("textbox", { name: "Machine", exact: true }).fill("Drill press");
  await student.getByRole("textbox", { name: "Material", exact: true }).fill("Cast acrylic");
  await student.getByRole("textbox", { name: "Thickness", exact: true }).fill("4 kg");
  await student.getByRole("textbox", { name: "Settings", exact: true }).fill("600 turns a minute, board behind");
  await student.getByRole("button", { name: "Record it" }).click();
  await expect(student.getByText(/this field takes a length/).first()).toBeVisible();
  await expect(student.getByRole("textbox", { name: "Settings", exact: true })).toHaveValue(
    "600 turns a minute, board behind",
  );
  await student.getByRole("textbox", { name: "Thickness", exact: true }).fill("4");
  await student.getByRole("button", { name: "Record it" }).click();
  await expect(student.getByRole("row", { name: /Cast acrylic.*4 mm/ })).toContainText("Ines Castellane");
  expect(await findings(student)).toEqual([]);

  await enter(page, "Mara");
  await page.goto(`${base}/shop/settings`);
  const row = page.getByRole("row", { name: /Cast acrylic.*4 mm/ });
  await row.getByRole("button", { name: "correct" }).click();
  await choose(row.getByLabel("What came of it"), "failed");
  await row.getByLabel("What was seen").fill("cracked at the edge");
  await row.getByRole("button", { name: "Save" }).click();
  await expect(row).toContainText("cracked at the edge");
  await row.getByRole("button", { name: "correct" }).click();
  await row.getByRole("button", { name: "withdraw" }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(row).toContainText("failed");
});
