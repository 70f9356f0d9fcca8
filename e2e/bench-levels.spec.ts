// Tests whose result is a name: entered by its beginning, counted, asked for by a requirement; and pilot runs.
import { expect, test } from "@playwright/test";
import { begin, choose, demoUrl, enter, focusOn } from "./tools";

test("damage by levels: from the shelf to a verdict, by keyboard", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench/protocol`);
  await page.getByRole("link", { name: "Damage after a drop" }).click();
  await expect(page.getByLabel("Name", { exact: true }).first()).toHaveValue("Damage after a drop");
  await expect(page.getByLabel("Levels in their order")).toHaveValue("intact, hairline, cracked, broken");
  await page.getByRole("button", { name: "Save protocol" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /Damage after a drop/ })).toBeVisible();
  await expect(page.getByRole("textbox", { name: /^Damage, attempt/ })).toHaveCount(0);
  await begin(page);
  const field = (name: string) => page.getByRole("textbox", { name: new RegExp(`^${name}, attempt`) });
  await focusOn(field("Damage"));
  await page.keyboard.type("bent");
  await expect(page.getByText("“bent” is none of “intact”, “hairline”, “cracked”, “broken”.").first()).toBeVisible();
  for (const [i, level] of ["int", "cr", "hair"].entries()) {
    await field("Damage").fill(level);
    await page.keyboard.press("Enter");
    await page.keyboard.type("y\n0\n");
    await expect(page.getByText(`Attempt ${i + 1} is saved.`)).toBeVisible();
  }
  await expect(page.getByRole("row", { name: /^G\d 3 hairline 1 1 1 –/ })).toBeVisible();
  await page.locator("[data-figure]", { hasText: "hairline" }).first().click();
  await expect(page.getByRole("dialog", { name: /Working/ })).toContainText(
    "1 intact, 1 hairline, 1 cracked, 0 broken",
  );
  await page.keyboard.press("Escape");

  await page.goto(`${demoUrl}/p/terrace-pump/needs/new`);
  await page.getByLabel("Statement").fill("Survives a drop from the terrace with a hairline at most");
  // No must: the gates of the other journeys ask for those.
  await choose(page.getByRole("combobox", { name: "Priority" }), "could");
  await choose(page.getByLabel("Measured by"), { label: "Damage after a drop: Damage" });
  await choose(page.getByLabel("Limit", { exact: true }), { label: "this level or one before it" });
  await choose(page.getByLabel("Level", { exact: true }), { label: "hairline" });
  await page.getByRole("button", { name: "Add requirement" }).click();
  await expect(page.getByText("damage hairline or before").first()).toBeVisible();
});

test("pilot runs: the condition that scattered most is named, and nothing counts", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await page.getByRole("link", { name: "Pilot runs" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Pilot runs" })).toBeVisible();
  await begin(page);
  const field = (name: string) => page.getByRole("textbox", { name: new RegExp(`^${name}, attempt`) });
  for (const [i, lift] of ["1.60", "1.64", "1.57"].entries()) {
    await page.getByLabel(/^Lift/).last().fill(lift);
    await field("Collected").fill("8.6");
    await field("Force").fill("33");
    await field("Stroke").fill("0.25");
    await page.keyboard.press("Enter");
    await expect(page.getByText(`Attempt ${i + 1} is saved.`)).toBeVisible();
  }
  await expect(page.getByText(/^Lift.* scattered most: ±0\.070 m/)).toBeVisible();
  await page.getByRole("link", { name: "Attempts", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1, name: /Lift test/ })).toBeVisible();
  await expect(page.getByRole("table", { name: "Attempts" }).getByText("1.64")).toHaveCount(0);
});

test("a protocol is tried on example readings while it is written", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench/protocol?from=speed`);
  const tried = page.getByRole("group", { name: "Tried on example readings" });
  // 5 m in 4.2 s.
  await expect(tried.getByText(/^1\.19/)).toBeVisible();
  await page.getByLabel("Example of Time").fill("2.5 s");
  await expect(tried.getByText(/^2\.00/)).toBeVisible();
  await page.getByLabel("Example of Time").fill("2.5 kg");
  await expect(tried.getByText(/takes a time/)).toBeVisible();
  await page.getByLabel("Formula").first().fill("d * t");
  await expect(tried.getByText(/but a speed is declared/)).toBeVisible();
});
