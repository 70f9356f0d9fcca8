// A first project from a template: from the kind to a class that can begin; one's own saved as a file and taken in.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings } from "./tools";

const names = ["Ada Quill", "Ben Stone", "Cai Reed", "Dee Marsh", "Eli Ford", "Fay Holt"];

test("a kind of project becomes a class that can begin, in a few presses", async ({ page }) => {
  await enter(page, "Mara");
  let presses = 0;
  const press = async (name: string | RegExp) => {
    presses++;
    await page.getByRole("button", { name }).first().click();
  };
  await page.goto(`${demoUrl}/new`);
  expect(await findings(page)).toEqual([]);
  await page.getByRole("link", { name: "A vehicle that stops at a distance" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /^New project: a vehicle/ })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await expect(page.getByLabel("Title")).toHaveValue("Line Runner");
  await page.getByLabel("First day").fill("2027-03-01");
  await page.getByLabel("Last day").fill("2027-05-28");
  await page.getByLabel("Section", { exact: true }).fill("8C");
  await page.getByLabel("Mon", { exact: true }).check();
  await page.getByLabel("Thu", { exact: true }).check();
  await press("Create project");
  await page.waitForURL(/\/p\/line-runner$/);
  await expect(page.getByRole("heading", { name: "The core log begins with teams" })).toBeVisible();
  const base = `${demoUrl}/p/line-runner`;
  await page.goto(`${base}/people`);
  await page
    .getByLabel(/^Paste from a spreadsheet/)
    .fill(["Name\tSection", ...names.map((n) => `${n}\t8C`)].join("\n"));
  await press("Preview");
  await expect(page.getByText("6 students can be imported")).toBeVisible();
  await press(/^Import/);
  await expect(page.getByText("6 students in 1 section")).toBeVisible();
  await page.goto(`${base}/teams`);
  await page.getByLabel("Smallest").fill("3");
  await page.getByLabel("Largest").fill("3");
  await press("Draw teams");
  await expect(page.getByRole("heading", { name: "Section 8C" })).toBeVisible();
  expect(presses).toBeLessThanOrEqual(6);

  await page.goto(`${base}/needs`);
  for (const limit of ["mass ≤ 400 g", "envelope 250 × 150 × 200 mm", "Off the mark ≤ 80 mm"])
    await expect(page.getByRole("cell", { name: limit }).first()).toBeVisible();
  await page.goto(`${base}/brief`);
  await expect(page.getByText("Between two posts of a lock hangs a taut line")).toBeVisible();
  await page.goto(`${base}/plan`);
  await expect(page.getByText("Carrier and wheels").first()).toBeVisible();
  await page.goto(`${base}/plan/gates`);
  await expect(page.getByText("Own sketch with main sizes").first()).toBeVisible();
  await page.goto(`${base}/grades`);
  await expect(page.getByText("Off the mark, best build").first()).toBeVisible();
  await page.goto(`${base}/contest`);
  await expect(page.getByRole("link", { name: "To the mark" }).first()).toBeVisible();
  await page.goto(`${base}/class`);
  await expect(page.getByLabel("What this class is for")).toHaveValue(/Rules read, first sketches/);
});

test("one's own project goes out as a template and comes in as another; a file that is none is told", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/settings`);
  const link = await page.getByRole("link", { name: "Save as a template" }).getAttribute("href");
  const file = await (await page.request.get(demoUrl + link)).text();
  expect(file).not.toContain("Greta");
  await page.goto(`${demoUrl}/new`);
  await expect(page.getByRole("button", { name: "Begin with a template file" })).toBeEnabled();
  const take = (body: string) =>
    page.getByLabel("Template", { exact: true }).setInputFiles({
      name: "pump.json",
      mimeType: "application/json",
      buffer: Buffer.from(body),
    });
  await take(file.replace('"project template"', '"shopping list"'));
  await expect(page.getByLabel("Title")).toHaveValue("Terrace Pump");
  await page.getByLabel("Title").fill("Pump of the future");
  await page.getByLabel("First day").fill("2027-03-01");
  await page.getByLabel("Last day").fill("2027-05-28");
  await page.getByLabel("Section", { exact: true }).fill("9");
  await page.getByLabel("Tue", { exact: true }).check();
  await page.getByRole("button", { name: "Create project" }).click();
  await expect(
    page.getByText("This is not a project template: a template begins with its kind.").first(),
  ).toBeVisible();
  // What was typed is still there.
  await take(file.replace('"title": "Terrace Pump"', '"title": "Pump of the future"'));
  await expect(page.getByLabel("First day")).toHaveValue("2027-03-01");
  await page.getByRole("button", { name: "Create project" }).click();
  await page.waitForURL(/\/p\/pump-of-the-future$/);
  await page.goto(`${demoUrl}/p/pump-of-the-future/contest`);
  await expect(page.getByRole("link", { name: "Timed lift" }).first()).toBeVisible();
  await page.goto(`${demoUrl}/p/pump-of-the-future/people`);
  await expect(page.getByText("Greta")).toHaveCount(0);
});
