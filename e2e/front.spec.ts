// The front of the work in the real interface: from questions to signed gates, by several people, on a phone, without a
// network.
import { type Browser, expect, type Page, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn, guestLink, stranger } from "./tools";

const go = (page: Page, path: string) => page.goto(`${demoUrl}/p/${path}`);
const someone = async (browser: Browser, name: string) => {
  const page = await stranger(browser);
  await enter(page, name);
  return page;
};

test(
  "two people note one interview; what is written without a network arrives when it is back, and a " +
    "reload loses nothing",
  async ({ page, browser }) => {
    await enter(page, "Mara");
    await go(page, "terrace-pump/needs/sources");
    await page.getByLabel("Title").fill("Interview 3");
    await page.getByRole("button", { name: "Begin" }).click();
    await expect(page.getByRole("heading", { level: 1, name: "Interview 3" })).toBeVisible();
    const [amara, greta] = [await someone(browser, "Amara Diallo"), await someone(browser, "Greta Malik")];
    // A student finds the open session on the home page.
    await amara.getByRole("link", { name: "Interview 3" }).click();
    await greta.goto(page.url());
    const field = (p: Page) => p.getByLabel("Note on “Who will use it?”");
    await expect(field(greta)).toBeEnabled();
    await field(amara).fill("half a sentence that is");
    await field(greta).fill("Odile's niece too, she is twelve");
    await field(greta).press("Enter");
    await expect(amara.getByText("Odile's niece too, she is twelve")).toBeVisible();
    await expect(field(amara)).toHaveValue("half a sentence that is");
    await greta.context().setOffline(true);
    await field(greta).fill("only with an adult beside her");
    await field(greta).press("Enter");
    await expect(greta.getByText("1 note waits in this browser")).toBeVisible();
    await field(greta).fill("typed, not sent");
    await amara.reload();
    await expect(field(amara)).toHaveValue("half a sentence that is");
    await field(amara).press("Enter");
    await expect(page.getByText("half a sentence that is")).toBeVisible();
    await greta.context().setOffline(false);
    await expect(amara.getByText("only with an adult beside her")).toBeVisible({ timeout: 20_000 });
    await expect(greta.getByText("Everything written is saved.")).toBeVisible();
    await greta.reload();
    await expect(field(greta)).toHaveValue("typed, not sent");
    await expect(greta.getByText("only with an adult beside her")).toHaveCount(1);
    await page.getByRole("button", { name: "Close the session" }).click();
    await expect(amara.getByText("This session is closed.")).toBeVisible();
  },
);

test(
  "questions are drafted, merged and ordered; notes become a statement, duplicates are decided on, a " +
    "requirement keeps the words",
  async ({ page, browser }) => {
    const kira = await someone(browser, "Tomas");
    await enter(page, "Mara");
    await go(page, "cold-box/needs/questions");
    await page.getByLabel("A question for the client").fill("May it stand in the sun?");
    await page.getByRole("button", { name: "Add to the bank" }).click();
    const line = page.getByRole("listitem").filter({ hasText: "May it stand in the sun?" });
    await expect(line).toBeVisible();
    await line.getByRole("button", { name: "Move “May it stand in the sun?” up" }).click();
    await page.getByRole("checkbox", { name: "Choose “How is it cleaned?”" }).check();
    await page.getByRole("checkbox", { name: "Choose “May it stand in the sun?”" }).check();
    await page.getByRole("button", { name: /Merge 2 into “How is it cleaned/ }).click();
    await expect(page.getByRole("checkbox", { name: "Choose “May it stand in the sun?”" })).toHaveCount(0);
    await kira.context().close();
    await go(page, "cold-box/needs/statements");
    await expect(page.getByText("“4 kg” and “6 kg” cannot both hold")).toBeVisible();
    const group = page
      .getByRole("group", { name: "Likely the same" })
      .filter({ hasText: "The lid can be opened with one hand" });
    await group.getByRole("button", { name: "They say the same: keep the chosen one" }).click();
    await expect(group).toHaveCount(0);
    await page.getByRole("checkbox", { name: /hot water and soap/ }).check();
    await page
      .getByLabel("Statement", { exact: true })
      .fill("Washed with hot water and soap; no crevice wider than 2 mm");
    await page.getByRole("button", { name: "Save, resting on 1 note" }).click();
    const row = page.getByRole("row").filter({ hasText: "no crevice wider than 2 mm" });
    await row.getByRole("button", { name: "make it a requirement" }).click();
    await row.getByRole("link", { name: /^R-\d+$/ }).click();
    await expect(page.getByRole("blockquote").filter({ hasText: "hot water and soap, no crevices" })).toBeVisible();
    await go(page, "cold-box/needs/changes");
    await page
      .getByLabel("Table (CSV, or pasted from a spreadsheet)")
      .fill("Code,Statement\nR-77,Ghost\n,Stacks on the spare wheel");
    await page.getByRole("button", { name: "Look at it" }).click();
    await expect(page.getByText("There is no requirement R-77")).toBeVisible();
    await expect(page.getByRole("button", { name: /^Write/ })).toHaveCount(0);
  },
);

test(
  "the client answers and chooses on a phone, and sees the brief, the questions and the concepts, " + "nothing else",
  async ({ page, browser }) => {
    await enter(page, "Mara");
    const { url } = await guestLink(page, "cold-box", "client", "Sunniva on the road");
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const phone = await context.newPage();
    await phone.goto(url);
    await phone.getByRole("button", { name: "Open" }).click();
    await phone.waitForURL(/\/guest/);
    await expect(phone.getByText("1 question to answer, concepts to choose")).toBeVisible();
    expect(await phone.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
    expect(await findings(phone)).toEqual([]);
    expect(await phone.getByRole("link").allInnerTexts()).toEqual([]);
    await expect(phone.getByText("R-01")).toHaveCount(0);
    // What a concept does not keep is said in the words of the must.
    await expect(phone.getByText(/^Does not keep: /).first()).toBeVisible();
    await phone.getByLabel(/How long above 8 °C/).fill("Half an hour is still good.");
    await phone.getByRole("button", { name: "Send the answer" }).click();
    await expect(phone.getByText("1 question to answer")).toHaveCount(0);
    await phone
      .getByRole("textbox", { name: /, Holds the cold$/ })
      .first()
      .fill("6");
    await phone.getByRole("button", { name: "Hand in" }).click();
    await expect(phone.getByText("a score from 0 to 5")).toBeVisible();
    await phone
      .getByRole("textbox", { name: /, Holds the cold$/ })
      .first()
      .fill("4");
    await phone.getByRole("button", { name: "Hand in" }).click();
    await expect(phone.getByText("Handed in.")).toBeVisible();
    expect((await phone.request.get(`${demoUrl}/p/cold-box/csv/requirements`)).status()).toBe(404);
    await go(page, "cold-box/needs/sources");
    await expect(page.getByRole("link", { name: /Answer: How long above 8/ })).toBeVisible();
    await go(page, "cold-box/concepts/choose");
    await page.getByRole("link", { name: "Panel on concepts" }).click();
    await expect(page.getByText("3 sheets in")).toBeVisible();
    await expect(page.getByText("10,000 of 10,000 weight sets")).toBeVisible();
    await context.close();
    // A reviewer's link takes part in the same panel.
    const panel = await guestLink(page, "cold-box", "reviewer", "Ruta, cooling engineer");
    const reviewer = await stranger(browser);
    await reviewer.goto(panel.url);
    await reviewer.getByRole("button", { name: "Open" }).click();
    await reviewer
      .getByRole("textbox", { name: /, Easy to clean$/ })
      .first()
      .fill("3,5");
    await reviewer.getByRole("button", { name: "Hand in" }).click();
    await expect(reviewer.getByText("Handed in.")).toBeVisible();
  },
);

test(
  "the solver forms teams in a worker, explains itself, is kept, adopted and undone; a clash is said " + "in words",
  async ({ page }) => {
    await enter(page, "Mara");
    await go(page, "cold-box/teams/form");
    await page.getByLabel("Seed").first().fill("77");
    await page.getByRole("button", { name: "Form teams" }).click();
    await expect(page.getByText(/Solved in/)).toBeVisible();
    await expect(page.getByText("All 4 limits are kept").first()).toBeVisible();
    await page.getByText("Each student: what was got, and why not more").first().click();
    await expect(page.getByRole("cell", { name: "Ada Lorentz" }).first()).toBeVisible();
    await page.getByRole("button", { name: "Keep this plan to compare" }).click();
    const kept = page
      .getByRole("region", { name: "Plans", exact: true })
      .getByRole("row")
      .filter({ hasText: "seed 77" });
    await kept.getByRole("button", { name: "Adopt" }).click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await expect(kept.getByText("adopted")).toBeVisible();
    await kept.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await expect(kept.getByRole("button", { name: "Adopt" })).toBeVisible();
    await page.getByLabel("Smallest", { exact: true }).fill("4");
    await page.getByLabel("Largest", { exact: true }).fill("4");
    await page.getByRole("button", { name: "Form teams" }).click();
    await expect(page.getByText("These cannot hold together:")).toBeVisible();
    await expect(page.getByRole("listitem").filter({ hasText: "every team has at least 4" })).toBeVisible();
  },
);

test("the plan is moved by keyboard and by dragging, and a lost day is tried before it happens", async ({ page }) => {
  await enter(page, "Mara");
  await go(page, "cold-box/plan");
  const bar = page.getByRole("slider", { name: /^Small trials of walls and packs/ });
  const before = Number(await bar.getAttribute("aria-valuenow"));
  await focusOn(bar);
  await page.keyboard.press("ArrowRight");
  await expect(bar).toHaveAttribute("aria-valuenow", String(before + 1));
  await focusOn(bar);
  await page.keyboard.press("ArrowLeft");
  await expect(bar).toHaveAttribute("aria-valuenow", String(before));
  await focusOn(bar);
  await page.keyboard.press("ArrowLeft");
  await expect(page.getByText(/cannot begin before session/)).toBeVisible();
  const box = (await bar.boundingBox())!;
  // Two sessions to the right: a bed is as many sessions wide as it takes.
  const session = box.width / Number(/: (\d+) sessions?/.exec((await bar.getAttribute("aria-label"))!)![1]);
  await page.mouse.move(box.x + 20, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 20 + 2 * session, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(bar).toHaveAttribute("aria-valuenow", String(before + 2));
  await page.getByRole("button", { name: /^Session 9,/ }).click();
  await expect(page.getByText(/^If .* is lost: /)).toBeVisible();
});

test(
  "a concept stays its author's until it is opened; a gate blocks the build until it is signed; the " +
    "notebook shows amendments",
  async ({ page, browser }) => {
    await enter(page, "Mara");
    const [amara, greta] = [await someone(browser, "Amara Diallo"), await someone(browser, "Greta Malik")];
    await go(page, "terrace-pump/concepts");
    await page.getByRole("button", { name: "Hide them from each other" }).click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await expect(page.getByRole("button", { name: "Open all concepts" })).toBeVisible();
    await go(amara, "terrace-pump/concepts");
    await amara.getByRole("button", { name: "New concept" }).click();
    await amara.getByLabel("Title").fill("Rope pump");
    await amara.getByLabel("Estimated mass").fill("5.4 kg");
    await amara.getByLabel("Key dimensions").fill("rope 8");
    await amara.getByRole("button", { name: "Save concept" }).click();
    await expect(amara.getByText("Write one dimension a line").first()).toBeVisible();
    await amara.getByLabel("Key dimensions").fill("rope = 8 mm");
    await amara.getByRole("button", { name: "Save concept" }).click();
    await expect(amara.getByText("breaks R-03")).toBeVisible();
    expect((await greta.goto(amara.url()))!.status()).toBe(404);
    await go(page, "terrace-pump/plan/gates");
    await choose(page.getByRole("combobox", { name: "Gate before material" }), "block");
    await page.getByRole("button", { name: "Save", exact: true }).click();
    await expect(page.getByText("No build is recorded before the gate is signed.")).toBeVisible();
    const row = page.getByRole("row").filter({ hasText: "Downpour" });
    await row.getByRole("button", { name: "take back" }).last().click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await go(greta, "terrace-pump/builds");
    await greta
      .getByRole("row", { name: /Downpour/ })
      .getByRole("link", { name: /record a build/ })
      .first()
      .click();
    await choose(greta.getByRole("combobox", { name: "Stage" }), "prototype");
    await greta.getByLabel("What changed").fill("Rubber discs");
    await greta.getByRole("button", { name: "Record the build" }).click();
    await expect(greta.getByText("Ask the instructor to sign it.").last()).toBeVisible();
    await expect(greta.getByLabel("What changed")).toHaveValue("Rubber discs");
    await row.getByRole("button", { name: "Sign", exact: true }).click();
    await expect(row.getByText("signed Mara", { exact: false })).toBeVisible();
    await go(greta, "terrace-pump/notebook");
    await greta.getByLabel("Today's entry").fill("Rubber discs cut from a mat.");
    await greta.getByRole("button", { name: "Write it into the notebook" }).click();
    const entry = greta.getByRole("article").filter({ hasText: "Rubber discs cut from a mat." });
    await expect(entry).toBeVisible();
    await entry.getByRole("button", { name: "amend" }).click();
    await entry.getByLabel("Entry", { exact: true }).fill("Rubber discs cut from a mat, 22 mm.");
    await entry.getByLabel("Why it is amended").fill("size added");
    await entry.getByRole("button", { name: "Amend", exact: true }).click();
    await expect(greta.getByText("amended once", { exact: false }).first()).toBeVisible();
    // As the other tests found it.
    await choose(page.getByRole("combobox", { name: "Gate before material" }), "warn");
    await page.getByRole("button", { name: "Save", exact: true }).click();
    await go(page, "terrace-pump/concepts");
    await page.getByRole("button", { name: "Open all concepts" }).click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await expect(page.getByRole("button", { name: "Hide them from each other" })).toBeVisible();
  },
);
