// Slots of reviews and what follows from them: plans found and moved by keys, the clock, corrections, demonstrations.
import { readFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn, guestLink, stranger } from "./tools";

const heading = (page: Page, name: string | RegExp) =>
  expect(page.getByRole("heading", { name, level: 1 })).toBeVisible();
const cold = `${demoUrl}/p/cold-box/reviews`;

/** Plans a review of every team of the Cold Box. */
async function plan(page: Page, kind: string, title: string, heldOn: string): Promise<void> {
  await page.goto(cold);
  await expect(page.getByRole("button", { name: "Plan reviews" })).toBeEnabled();
  await choose(page.getByRole("combobox", { name: "Kind" }), { label: kind });
  await page.getByLabel("Review", { exact: true }).fill(title);
  await page.getByLabel("Held on").fill(heldOn);
  await page.getByRole("button", { name: "Plan reviews" }).click();
  await expect(page.getByRole("table", { name: title })).toBeVisible();
}

test("slots are found or refused with the reason, kept, moved by keys, and run by the clock", async ({ page }) => {
  await enter(page, "Mara");
  await plan(page, "Final review", "Trial of slots", "2027-03-02");
  await page.goto(`${cold}/slots?title=Trial%20of%20slots`);
  await heading(page, /Trial of slots/);
  const find = page.getByRole("button", { name: "Find the slots" });
  await expect(find).toBeEnabled();
  // A final review takes half an hour.
  await expect(page.getByLabel("Minutes a review")).toHaveValue("30");
  await page.getByLabel("Hours of day 1", { exact: true }).fill("9-8");
  await page.getByLabel("Reviewer 1", { exact: true }).fill("Ida");
  await find.click();
  await expect(page.getByText("“9-8” ends before it begins.")).toBeVisible();
  await page.getByLabel("Hours of day 1", { exact: true }).fill("8:30-10:50");
  await find.click();
  const refused = page.getByRole("alert").filter({ hasText: "There is no plan" });
  await expect(refused).toContainText("At no time are 2 reviewers there; at most 1 is.");
  await page.getByRole("button", { name: "add a reviewer" }).click();
  await page.getByLabel("Reviewer 2", { exact: true }).fill("Ben");
  await page.getByLabel(/^Hours of reviewer 2/).fill("8:30-10:15");
  await find.click();
  await expect(refused).toContainText("All 4 teams need 4 places, and there are 4 times with 3 places: 1 too few.");
  await page.getByLabel(/^Hours of reviewer 2/).fill("");
  await find.click();
  await expect(page.getByText("Nobody has to wait between two reviews.")).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: "Keep this plan" }).click();
  await expect(page.getByText("4 of 4 teams have a place · no reviewer waits")).toBeVisible();

  // Firn goes one place down, by keys alone: who has it changes with it.
  const firn = page.getByRole("button", { name: /^Firn/ });
  await expect(firn).toHaveAccessibleName(/8:30/);
  await focusOn(firn);
  await page.keyboard.press("Space");
  await expect(page.getByText("Firn is over 2 Mar 8:30, Workshop.")).toBeAttached();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByText("Firn is over 2 Mar 9:05, Workshop.")).toBeAttached();
  await page.keyboard.press("Space");
  await expect(firn).toHaveAccessibleName(/9:05/);
  // And back by the pointer.
  const other = page.getByRole("button", { name: /8:30, Workshop$/ });
  const [from, to] = [(await firn.boundingBox())!, (await other.boundingBox())!];
  await page.mouse.move(from.x + 30, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y - 10, { steps: 4 });
  await page.mouse.move(to.x + 30, to.y + 12, { steps: 6 });
  await page.mouse.up();
  await expect(firn).toHaveAccessibleName(/8:30/);
  // A late team changes places with another one.
  const late = page.getByRole("combobox", { name: "Team" }).first();
  await choose(late, { label: "Tarn" });
  await choose(page.getByRole("combobox", { name: "to" }), { label: "2 Mar 8:30, Workshop (with Firn)" });
  await page.getByRole("button", { name: "Move", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Tarn.*2 Mar 8:30/ })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Calendar (ICS)" }).click();
  expect(readFileSync(await (await download).path(), "utf8").match(/BEGIN:VEVENT/g)).toHaveLength(4);

  await page.getByRole("link", { name: "The clock on the day" }).click();
  await page.getByRole("button", { name: "Begin Tarn" }).click();
  await expect(page.getByRole("timer")).toHaveText(/^(30:00|29:\d\d)$/);
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: "End Tarn" }).click();
  await expect(page.getByRole("button", { name: /^Begin / })).toBeVisible();
  await page.getByRole("button", { name: "Tarn is not over" }).click();
  await expect(page.getByRole("button", { name: "End Tarn" })).toBeVisible();
});

test("after the verdict: what it rests on, a correction, an answer, an action closed by a build", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/reviews`);
  await page.getByRole("table", { name: "Test review" }).getByRole("link", { name: "Alder" }).click();
  await heading(page, /Alder/);
  const review = page.url();
  await expect(page.getByText(/^Rests on G\d/)).toBeVisible();
  await page.getByRole("button", { name: "Correct your sheet" }).click();
  await page.getByRole("radiogroup", { name: "Tests" }).getByRole("radio").nth(3).click();
  await page.getByRole("radiogroup", { name: "Tests" }).getByRole("radio").first().click();
  await page.getByRole("button", { name: "Hand in the corrected sheet" }).click();
  await expect(page.getByText("Say why the sheet is corrected after it.").first()).toBeVisible();
  await page.getByLabel("Why is it corrected after the verdict?").fill("The run log was found");
  await page.getByRole("button", { name: "Hand in the corrected sheet" }).click();
  await expect(page.getByText("corrected the sheet after the verdict: The run log was found")).toBeVisible();
  await expect(page.getByText("Since then: 1 sheet was corrected.")).toBeVisible();
  await page.getByLabel("A question that was asked").fill("Who checks the joint?");
  await page.getByRole("button", { name: "Write down" }).click();
  await expect(page.getByText("Who checks the joint?")).toBeVisible();
  await page.getByLabel("Action", { exact: true }).fill("Bolt the joint");
  await page.getByRole("checkbox", { name: /^It changes the design/ }).click();
  await page.getByRole("button", { name: "Add action" }).click();
  await expect(page.getByText(/due session \d+, \d+ Mar · changes the design/)).toBeVisible();
  expect(await findings(page)).toEqual([]);

  const ines = await stranger(browser);
  await enter(ines, "Ines Castellane");
  await ines.goto(review);
  await heading(ines, /Alder/);
  // Her own mark alone, nobody else's.
  await expect(ines.getByRole("cell", { name: "Answers for the own part: Ines Castellane" })).toBeVisible();
  await expect(ines.getByRole("cell", { name: /^Answers for the own part/ })).toHaveCount(1);
  await ines.getByRole("button", { name: "write the answer" }).click();
  await ines.getByLabel("Answer").fill("Rowan, before every session.");
  await ines.getByRole("button", { name: "Save" }).click();
  await expect(ines.getByText("Rowan, before every session.")).toBeVisible();
  await ines.getByRole("button", { name: "close", exact: true }).click();
  await ines.getByLabel("What shows that it is done").fill("The brace is glued in");
  await choose(ines.getByRole("combobox", { name: "Shown by a build" }), { label: "G2" });
  await ines.getByRole("button", { name: "Close", exact: true }).click();
  await expect(ines.getByText("closed: The brace is glued in")).toBeVisible();
  await expect(ines.getByRole("link", { name: "the build", exact: true })).toBeVisible();
  expect(await findings(ines)).toEqual([]);
});

test("a client ticks each wish at a demonstration on a phone, and the register has it", async ({ page, browser }) => {
  await enter(page, "Mara");
  await plan(page, "Client demonstration", "Shown to the vet", "2027-03-02");
  const { url } = await guestLink(page, "cold-box", "client", "Travelling vet");
  const vet = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
  await vet.goto(url);
  await vet.getByRole("button", { name: "Open" }).click();
  const firn = vet.locator("section", { has: vet.getByRole("heading", { name: "Shown to the vet: Firn" }) });
  await expect(firn.getByText("Measured on the bench")).not.toHaveCount(0);
  await firn.getByRole("radiogroup", { name: "Easy to clean between farms" }).getByRole("radio").nth(1).click();
  await firn.getByLabel("A word on R-03").fill("the lid is, the corners are not");
  await firn.getByRole("button", { name: "Record what was found" }).click();
  await expect(firn.getByText("Recorded.")).toBeVisible();
  expect(await findings(vet)).toEqual([]);
  expect(await vet.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await page.goto(`${demoUrl}/p/cold-box/needs?r=R-03`);
  await expect(page.getByText("the lid is, the corners are not").first()).toBeVisible();
});

test("a story is made from the record, edited by its team alone, shown to the class, and goes out as a page", async ({
  page,
  browser,
}) => {
  await enter(page, "Ines Castellane");
  const stories = `${demoUrl}/p/terrace-pump/reviews/stories`;
  await page.goto(stories);
  // Two are shown; the one that is not stays with its team.
  await expect(page.getByRole("heading", { level: 2 })).toHaveText(["One change at a time", /^The tube that swings/]);
  expect(await findings(page)).toEqual([]);
  await page.getByRole("link", { name: "Alder", exact: true }).click();
  await page.getByRole("link", { name: "Begin the story" }).click();
  await heading(page, /Alder/);
  await expect(page.getByLabel("Heading").first()).toHaveValue(/^G1, mock-up/);
  await expect(page.getByLabel("Title")).toBeEnabled();
  await page.getByLabel("Title").fill("A lever and what it costs");
  await page.getByRole("button", { name: "add a chapter of our own" }).click();
  await page.getByLabel("Heading").last().fill("What we would do next");
  await page.getByLabel("Text").last().fill("A shorter lever.\n\nAnd a brace.");
  await page
    .getByRole("button", { name: /^Chapter \d+: what can be done/ })
    .last()
    .click();
  await page.getByRole("menuitem", { name: "Move up" }).click();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: "Save the story" }).click();
  await heading(page, "A lever and what it costs");
  const own = page.url();
  const greta = await stranger(browser);
  await enter(greta, "Greta Malik");
  expect((await greta.request.get(own)).status()).toBe(404);
  expect((await greta.request.get(`${own}/html`)).status()).toBe(404);
  await page.getByRole("button", { name: "Show it to the class" }).click();
  await expect(page.getByText("Alder · the class reads it")).toBeVisible();
  await greta.goto(own);
  await heading(greta, "A lever and what it costs");
  await expect(greta.getByRole("link", { name: "Edit" })).toHaveCount(0);
  expect((await greta.request.get(`${own}/edit`)).status()).toBe(404);
  const download = greta.waitForEvent("download");
  await greta.getByRole("link", { name: "HTML" }).click();
  const file = readFileSync(await (await download).path(), "utf8");
  expect(file).toContain("<p>A shorter lever.</p><p>And a brace.</p>");
  expect(file).toContain("<svg ");
  await page.emulateMedia({ media: "print" });
  expect((await page.pdf()).length).toBeGreaterThan(10_000);
});

test("topics of the class report are dealt out, and each team writes its own", async ({ page, browser }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/reviews/report`);
  await page.getByLabel("Topics, one a line").fill("Handles\nBuckets");
  await page.getByRole("button", { name: "Add topics" }).click();
  await expect(page.getByText("1 of 6 topics are written")).toBeVisible();
  await page.getByRole("button", { name: "Deal the topics to teams" }).click();
  await expect(page.getByText("Dealt.", { exact: true })).toBeVisible();
  const handles = page.locator("section", { has: page.getByRole("heading", { name: /^Handles/ }) });
  await expect(handles.getByText("nobody's yet")).toHaveCount(0);
  await handles.getByRole("button", { name: "correct" }).click();
  await choose(handles.getByRole("combobox", { name: "Written by" }), { label: "Alder" });
  await handles.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("heading", { name: "Handles Alder" })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  const ines = await stranger(browser);
  await enter(ines, "Ines Castellane");
  await ines.goto(page.url());
  const own = ines.locator("section", { has: ines.getByRole("heading", { name: "Handles Alder" }) });
  await own.getByRole("button", { name: "write it" }).click();
  await own.getByLabel("Text").fill("Round ones **slip** less.");
  await own.getByRole("button", { name: "Save" }).click();
  await expect(own.getByText("Round ones slip less.")).toBeVisible();
  expect(await findings(ines)).toEqual([]);
});
