// The record of the years: what changed, a start from the best without its faults, models, a guide, honours, booklets.
import { expect, type Page, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump`;
const wide = (page: Page) => page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth));

test("what changed between editions, what cured a fault, and a build that starts from last year's best", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${base}/records`);
  await page.getByRole("navigation", { name: "Records" }).getByRole("link", { name: "Editions" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Editions" })).toBeVisible();
  const asked = page.getByRole("region", { name: "Requirements" });
  await expect(asked.getByRole("listitem").filter({ hasText: "One person carries it" })).toContainText("≤ 6 kg ≤ 5 kg");
  await page.getByRole("link", { name: "Terrace Pump, the first" }).last().click();
  await expect(page.getByRole("heading", { name: "What changed since Terrace Pump, the first" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Rules with numbers" })).toContainText("At most 7.0 kg");

  await page.getByRole("link", { name: "Faults and cures" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Faults and cures" })).toBeVisible();
  await expect(
    page.getByRole("listitem").filter({ hasText: "The lever's pivot worked loose, " }).first(),
  ).toContainText("and it came back");

  await page.getByRole("link", { name: "Board", exact: true }).click();
  await page.getByRole("link", { name: "Start from an earlier build" }).click();
  await expect(page.getByRole("heading", { level: 2, name: /^Adze G3/ })).toBeVisible();
  await expect(page.getByRole("region", { name: "What failed on the way to it" })).toContainText("The rod leaned");
  await page.getByRole("link", { name: "leave out flap valve" }).click();
  await expect(page.getByRole("link", { name: "keep flap valve" })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("link", { name: "Headrace starts from it" }).click();
  await expect(page.getByLabel("Features", { exact: true })).toHaveValue("leather cup, guided rod");
  await expect(page.getByLabel("What changed")).toHaveValue(/Starts from Adze G3, .*without flap valve/);
  const gone = page.getByLabel("Features that it does without, and why");
  await expect(gone).toHaveValue("flap valve: ");
  await page.getByRole("button", { name: "Record the build" }).click();
  await expect(page.getByText("Write one a line with its reason").first()).toBeVisible();
  await gone.fill("flap valve: it stuck with leaves in the water");
  await page.getByRole("button", { name: "Record the build" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /Headrace G3/ })).toBeVisible();
  await expect(page.getByRole("main")).toContainText("it stuck with leaves in the water");
});

test("a model is kept, lent, missed and scrapped, also of a finished project; an award of the class's own", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump-last-year/records/models`);
  const adze = page.getByRole("listitem").filter({ hasText: "Adze, guided rod" }).first();
  await expect(adze).toContainText("lent to The garden, for its open day");
  await expect(adze).toContainText("late");
  await adze.getByRole("button", { name: "It is back" }).click();
  await expect(adze).toContainText("Cabinet 1, top shelf");

  await page.goto(`${base}/records/models`);
  await page.getByRole("button", { name: "Keep a model" }).click();
  await page.getByLabel("Model", { exact: true }).fill("Gully, split lever");
  await choose(page.getByLabel("It is"), { label: "Gully G2" });
  await page.getByLabel("Where it stands").fill("Cabinet 3");
  await page.getByRole("button", { name: "Keep it" }).click();
  const gully = page.getByRole("listitem").filter({ hasText: "Gully, split lever" }).first();
  await expect(gully).toContainText("Cabinet 3");
  await gully.getByRole("button", { name: "lend Gully" }).click();
  await gully.getByLabel("To", { exact: true }).fill("Section 5");
  await gully.getByLabel("Due back").fill("2020-01-01");
  await gully.getByRole("button", { name: "Lend it" }).click();
  await expect(gully.getByText("The day it is due back has passed.").first()).toBeVisible();
  await gully.getByLabel("Due back").fill("");
  await gully.getByRole("button", { name: "Lend it" }).click();
  await expect(gully).toContainText("lent to Section 5");
  await gully.getByRole("button", { name: "It is back" }).click();
  await gully.getByRole("button", { name: "scrap Gully" }).click();
  await gully.getByLabel("What became of it").fill("Firewood");
  await gully.getByRole("button", { name: "It is scrapped" }).click();
  await expect(gully).toContainText("Firewood");
  await gully.getByRole("button", { name: "it is still there" }).click();
  await expect(gully).toContainText("Cabinet 3");
  expect(await findings(page)).toEqual([]);

  await page.getByRole("navigation", { name: "Records" }).getByRole("link", { name: "Honours" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Honours" })).toBeVisible();
  await expect(page.getByRole("row", { name: /Champion.*2026 · Eddy/ })).toBeVisible();
  await page.getByRole("button", { name: "An award of our own" }).click();
  await choose(page.getByLabel("Team", { exact: true }), { label: "Freshet" });
  await page.getByLabel("Award", { exact: true }).fill("Bravest design");
  await page.getByLabel("On the trophy").fill("Freshet · bravest design");
  await page.getByRole("button", { name: "Give it" }).click();
  await expect(page.getByRole("row", { name: /Bravest design/ })).toContainText("21");
  expect(await findings(page)).toEqual([]);
});

test("a team writes how its build is made again, on a phone; another team reads it; booklets", async ({
  browser,
  page,
}) => {
  const amara = await stranger(browser);
  await amara.setViewportSize({ width: 390, height: 844 });
  await enter(amara, "Amara");
  await amara.goto(`${base}/records/guides`);
  await choose(amara.getByLabel("Build that is made again"), { label: "Cistern G4" });
  await amara.getByLabel("Title").fill("Cistern's two cylinders");
  await amara.getByRole("button", { name: "Begin the guide" }).click();
  await expect(amara.getByRole("heading", { level: 1, name: "Cistern's two cylinders" })).toBeVisible();
  await expect(amara.getByText("Take care")).toBeVisible();
  const steps = amara.getByRole("region", { name: "Steps" }).getByRole("listitem");
  await expect(steps.first()).toContainText("Fit the ");
  await amara.getByRole("button", { name: "A step more" }).click();
  await amara.getByLabel("What is done").fill("Pour water in from above, once");
  await amara.getByLabel(/^Where: x/).fill("120 mm");
  await amara.getByRole("button", { name: "Add the step" }).click();
  await expect(amara.getByText("Write three sides").first()).toBeVisible();
  await amara.getByLabel(/^Where: x/).fill("120 × 90 × 400 mm");
  await amara.getByLabel("Caution at this step").fill("Keep it off the power strip.");
  await amara.getByRole("button", { name: "Add the step" }).click();
  const last = steps.filter({ hasText: "Pour water" });
  await expect(last).toContainText("Keep it off the power strip.");
  await last.getByRole("button", { name: /earlier$/ }).click();
  await expect(steps.last()).not.toContainText("Pour water");
  expect(await wide(amara)).toBe(0);
  expect(await findings(amara)).toEqual([]);

  await enter(page, "Greta");
  await page.goto(amara.url());
  await expect(page.getByText("Pour water in from above, once")).toBeVisible();
  await expect(page.getByRole("button", { name: /step/ })).toHaveCount(0);
  await page.goto(`${base}/records/booklet`);
  await expect(page.getByRole("heading", { level: 2, name: "Headrace" })).toBeVisible();
  await page.getByRole("link", { name: "Downpour's booklet" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Downpour: the record of a team" })).toBeVisible();
  await expect(page.getByRole("main")).toContainText("Greta Malik");
  expect(await findings(page)).toEqual([]);
});
