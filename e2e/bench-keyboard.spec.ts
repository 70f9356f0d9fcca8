// A whole attempt at the bench without the mouse: Enter from field to field, the previous reading beside it, doubts
// said at once.
import { expect, test } from "@playwright/test";
import { begin, demoUrl, enter, focusOn } from "./tools";

test("attempts are entered by keyboard alone", async ({ page }) => {
  await enter(page, "Amara Diallo");
  await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await expect(page.getByText(/^Cistern G4, prototype/)).toBeVisible();
  await begin(page);
  const field = (name: string) => page.getByRole("textbox", { name: new RegExp(`^${name}, attempt`) });
  const first = field("Collected");
  const [, attempt] = /attempt (\d+)/.exec((await first.getAttribute("aria-label"))!)!;
  for (let i = 0; i < 200 && !(await first.evaluate((e) => e === document.activeElement)); i++)
    await page.keyboard.press("Tab");
  await expect(first).toBeFocused();
  await page.keyboard.type("92.5");
  await expect(page.getByText("Collected is usually 0.5 to 15 kg: check the reading.")).toBeVisible();
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type("9.25");
  await page.keyboard.press("Enter");
  await expect(field("Force")).toBeFocused();
  await page.keyboard.type("30 L");
  await expect(page.getByText("“L” is a volume; this field takes a force")).toBeVisible();
  await page.keyboard.press("Enter");
  await page.keyboard.type("0.22");
  await page.keyboard.press("Enter");
  await expect(field("Force")).toBeFocused(); // the wrong field is gone back to; nothing was saved
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type("36.0");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Enter");
  await expect(page.getByText(`Attempt ${attempt} is saved.`)).toBeVisible();
  await expect(field("Collected")).toBeFocused();
  await expect(field("Collected")).toHaveAccessibleName(new RegExp(`attempt ${Number(attempt) + 1}.*before 9.25`));
  await page.keyboard.press("Alt+n");
  await expect(page.getByRole("cell", { name: /no finish/ }).first()).toBeVisible();
});

test("the working opens by W on a focused figure and closes by Escape", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump`);
  const figure = page.locator("[data-figure]").first();
  await focusOn(figure);
  await page.keyboard.press("w");
  await expect(page.getByRole("dialog", { name: /Working/ })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.keyboard.press("ControlOrMeta+k");
  await expect(page.getByRole("combobox")).toBeFocused();
  await page.keyboard.type("cistern g4");
  await expect(page.getByRole("option", { name: /Cistern G4/ }).first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Cistern G4" })).toBeVisible();
});

test("a class of eight teams with five attempts: forty numbers and no mouse", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await page.getByRole("link", { name: "Whole class" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Whole class" })).toBeVisible();
  await page.getByLabel("Protocol").getByRole("link", { name: "Leak test" }).click();
  await expect(page).toHaveURL(/protocol=/);
  await begin(page);
  // The leak's table stands, not the one before it.
  await expect(page.getByRole("columnheader", { name: /mL$/ })).toHaveCount(5);
  const first = page.getByRole("textbox", { name: /^Alder G\d+, attempt 1, / });
  await expect(first).toBeEnabled();
  await focusOn(first);
  for (let i = 0; i < 40; i++) await page.keyboard.type(`${(i % 7) + 1}\n`);
  await expect(page.getByText("saved", { exact: true })).toHaveCount(40);
  await page.reload();
  await expect(page.getByRole("row", { name: /^Bramble G2 5 on record/ })).toBeVisible();
});
