// Pieces and their makers, a generation of one's own, and a flag that is put aside: pressed in the browser.
import { expect, test } from "@playwright/test";
import sharp from "sharp";
import { choose, demoUrl, enter, findings } from "./tools";

test("what is cut once waits for its checks; a chain says what to correct", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/builds?team=`);
  await page.getByRole("link", { name: "Cistern G4" }).first().click();
  await expect(page.getByRole("heading", { level: 1, name: /^Cistern G4/ })).toBeVisible();
  await page.getByRole("link", { name: "list its pieces" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /pieces and makers$/ })).toBeVisible();
  const add = async (name: string, fields: Record<string, string>, once = false) => {
    await page.getByRole("button", { name: "Another piece" }).click();
    await page.getByLabel("Piece", { exact: true }).fill(name);
    if (once) await page.getByLabel("It can be cut once only").click();
    for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByRole("button", { name: "Save", exact: true }).click();
  };
  await add("Rail", { "Should measure": "no", "Stands in line with": "frame" });
  await expect(page.getByText(/“no” cannot be read/).first()).toBeVisible();
  await page.getByLabel("Should measure", { exact: true }).fill("200 mm");
  await page.getByLabel("Tolerance ±", { exact: true }).fill("0.5");
  await page.getByLabel("Measures", { exact: true }).fill("201.2 mm");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Take 1.20 mm off Rail.")).toBeVisible();

  await add("Window", { "Sheet or stock": "3 mm acrylic" }, true);
  const row = page.getByRole("row", { name: /Window/ });
  await expect(row.getByText("Before it is cut:")).toBeVisible();
  await row.getByRole("checkbox", { name: "Window: cut" }).click();
  await expect(row.getByText("It is not released yet.").first()).toBeVisible();
  await expect(row.getByRole("checkbox", { name: "Window: cut" })).not.toBeChecked();
  await row.getByRole("checkbox", { name: "Window: drawn" }).click();
  await expect(row.getByRole("checkbox", { name: /Window: drawn, Mara/ })).toBeChecked();
  await row.getByRole("checkbox", { name: /Window: checked/ }).click();
  await expect(row.getByText("Who drew it does not check it")).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("link", { name: "To the build" }).click();
  await expect(page.getByText("Not to be cut yet: Window.")).toBeVisible();
});

test("what the parts list says is made here becomes pieces, and a trial's photo stands by its piece", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/builds?team=`);
  await page.getByRole("link", { name: "Cistern G4" }).first().click();
  await expect(page.getByRole("heading", { level: 1, name: /^Cistern G4/ })).toBeVisible();
  const build = page.url();
  await page.goto(`${build}/parts`);
  await page.getByLabel("Part", { exact: true }).fill("Leg");
  await page.getByLabel("Count").fill("2");
  await choose(page.getByLabel("From"), "made");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("row", { name: /^Leg 2/ })).toBeVisible();
  await page.goto(`${build}/pieces`);
  await page.getByRole("button", { name: /^List the .*made part/ }).click();
  const row = page.getByRole("row", { name: /^Leg 1/ });
  await expect(row).toBeVisible();
  await row.getByRole("button", { name: "correct" }).click();
  const photo = page.getByLabel("Photo of Leg 1");
  await photo.setInputFiles({ name: "x.jpg", mimeType: "image/jpeg", buffer: Buffer.from("not a picture") });
  await expect(page.getByText("not a picture that can be read")).toBeVisible();
  const buffer = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#864" } })
    .png()
    .toBuffer();
  await photo.setInputFiles({ name: "card trial.png", mimeType: "image/png", buffer });
  await expect(page.getByRole("img", { name: "Leg 1: card trial" })).toBeVisible();
  await page.goto(`${build}/parts`);
  await expect(page.getByRole("row", { name: /^Leg 2/ }).getByRole("link", { name: "0 of 2" })).toBeVisible();
});

test("two generations of one's own meet in a build of the team", async ({ page }) => {
  await enter(page, "Mara");
  for (const [i, changed] of ["Two rings more", "A lid over the valve"].entries()) {
    await page.goto(`${demoUrl}/p/terrace-pump/builds`);
    await page.getByRole("navigation", { name: "Team" }).getByRole("link", { name: "Ebb & Co", exact: true }).click();
    await page.getByRole("link", { name: "Record a build", exact: true }).click();
    await expect(page.getByRole("heading", { level: 1, name: /a new generation$/ })).toBeVisible();
    const maker = page.getByLabel("Made by");
    await maker.click();
    await page
      .getByRole("option")
      .nth(i + 1)
      .click();
    await page.getByLabel("What changed").fill(changed);
    await page.getByRole("button", { name: "Record the build" }).click();
    await expect(page.getByRole("heading", { level: 1, name: /^Ebb & Co G\d/ })).toBeVisible();
  }
  await page.goto(`${demoUrl}/p/terrace-pump/builds/meeting`);
  await page
    .getByRole("navigation", { name: "Team" })
    .getByRole("link", { name: /^Ebb & Co/ })
    .click();
  await expect(page.getByRole("heading", { level: 1, name: "Ebb & Co: what comes together" })).toBeVisible();
  await expect(page.getByRole("cell", { name: "Two rings more" })).toBeVisible();
  await page.getByRole("link", { name: "Record the build made of these" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /a new generation$/ })).toBeVisible();
  await page.getByLabel("What changed").fill("Both of them");
  await choose(page.getByRole("combobox", { name: "Made from a build of the edition before" }), {
    label: "Adze G3, 8.9 L/min (Terrace Pump, last year)",
  });
  await page.getByRole("button", { name: "Record the build" }).click();
  const met = page.getByRole("heading", { name: "What met here" });
  await expect(met).toBeVisible();
  await expect(page.getByText(/Adze G3 of Terrace Pump, last year/)).toBeVisible();
  await page.goto(`${demoUrl}/p/terrace-pump/builds/meeting`);
  await page
    .getByRole("navigation", { name: "Team" })
    .getByRole("link", { name: /^Ebb & Co/ })
    .click();
  await expect(page.getByText("Nothing stands apart")).toBeVisible();
});

test("a reason to look at a team is put aside with a note, and brought back", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/attention`);
  const team = page.getByRole("region", { name: "Headrace" });
  const reason = await team.getByRole("link").first().innerText();
  await team.getByRole("button", { name: "put aside" }).first().click();
  await team.getByRole("button", { name: "Put aside" }).click();
  await expect(team.getByText("This is needed.")).toBeVisible();
  await team.getByLabel("What was seen or agreed").fill("Talked to the team on Monday");
  await team.getByRole("button", { name: "Put aside" }).click();
  await expect(page.getByText("“Talked to the team on Monday”")).toBeVisible();
  await expect(team.getByRole("link", { name: reason })).toHaveCount(0);
  await page.goto(`${demoUrl}/`);
  await expect(page.getByRole("link", { name: new RegExp(reason.slice(0, 20)) })).toHaveCount(0);
  await page.goto(`${demoUrl}/p/terrace-pump/attention`);
  await page.getByRole("button", { name: `Take out ${reason}` }).click();
  await expect(team.getByRole("link", { name: reason })).toBeVisible();
});

test("a note of a run, what there is to beat, the limits, and what to test next", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await page.getByRole("navigation", { name: "Team" }).getByRole("link", { name: "Cistern", exact: true }).click();
  await expect(page.getByText(/^Cistern G4, prototype/)).toBeVisible();
  const beat = page.getByRole("region", { name: "To beat" });
  await expect(beat.getByText("best of the class: Cistern G4")).toBeVisible();
  await beat.getByText(/^Settings of the best run/).click();
  await expect(beat.getByText("stroke", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "add a note" }).first().click();
  await page.getByLabel("What was seen").fill("The hose slipped at the end");
  await page.getByRole("button", { name: "Keep the note" }).click();
  await expect(page.getByRole("cell", { name: /The hose slipped at the end/ })).toBeVisible();

  await page.goto(`${demoUrl}/p/terrace-pump/builds/limits`);
  const mass = page.getByRole("table", { name: "R-03 by team" });
  await expect(mass.getByRole("row", { name: /Gully .* −0\.60 −12 %/ })).toBeVisible();
  const forecast = mass.getByRole("row", { name: /^Alder/ }).locator("[data-figure]");
  await forecast.click();
  await expect(page.getByRole("dialog", { name: /Working/ })).toContainText("generations still to come");
  await page.keyboard.press("Escape");

  await page.goto(`${demoUrl}/p/terrace-pump/needs`);
  await expect(page.getByRole("heading", { name: "What to test next" })).toBeVisible();
  const next = page.getByRole("link", { name: /^R-\d\d (untested|stale|marginal)$/ }).first();
  const to = (await next.getAttribute("href"))!;
  await next.click();
  await page.waitForURL(demoUrl + to);
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
});
