// The shop: a machine asked for on a phone, placed, begun and ended; training, a near miss, stock and a plan of cuts.
import { expect, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump/shop`;

test("a team asks for the laser on a phone; the instructor places it; it is begun and ended at the door", async ({
  browser,
  page,
}) => {
  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 390, height: 844 });
  await enter(phone, "Amara Diallo");
  await phone.goto(base);
  await phone.getByRole("link", { name: "Laser cutter" }).click();
  await expect(phone.getByRole("heading", { name: "Laser cutter", level: 1 })).toBeVisible();
  expect(await phone.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  expect(await findings(phone)).toEqual([]);
  await phone.getByRole("button", { name: "Ask for Laser cutter" }).click();
  await phone.getByLabel("What for").fill("Gauge rings");
  await phone.getByLabel("Minutes").fill("5");
  await phone.getByLabel("Needed by").fill("2027-03-02");
  await choose(phone.getByLabel("At the machine"), { label: "Felix Norrington: not trained" });
  await phone.getByRole("button", { name: "Ask", exact: true }).click();
  await expect(phone.getByText(/Felix Norrington is not trained for Laser cutter/).first()).toBeVisible();
  await choose(phone.getByLabel("At the machine"), { label: "Amara Diallo: trained" });
  await phone.getByRole("button", { name: "Ask", exact: true }).click();
  const waits = phone.getByRole("listitem").filter({ hasText: "Gauge rings" });
  await expect(waits).toContainText("5 min");

  await enter(page, "Mara");
  await page.goto(base);
  await page.getByRole("link", { name: "Laser cutter" }).click();
  await expect(page.getByRole("heading", { name: "Laser cutter", level: 1 })).toBeVisible();
  await page.getByRole("button", { name: /^Give (all|the one)/ }).click();
  await expect(page.getByRole("heading", { name: "Nobody waits" })).toBeVisible();
  const placed = page.getByRole("listitem").filter({ hasText: "Gauge rings" });
  await expect(placed).toContainText(/\d+–\d+ min/);
  expect(await findings(page)).toEqual([]);

  await page.getByRole("link", { name: "Plan at its door" }).click();
  await expect(page.getByText("Nobody works here alone")).toBeVisible();
  const row = page.getByRole("listitem").filter({ hasText: "Gauge rings" });
  await expect(row).toContainText("machine not looked at today");
  await row.getByRole("button", { name: "Begin" }).click();
  await expect(row.getByRole("alert")).toContainText("was not looked at today");
  for (const box of await page.getByRole("checkbox").all()) await box.click();
  await page.getByRole("button", { name: "Laser cutter was looked at" }).click();
  await expect(page.getByRole("checkbox")).toHaveCount(0);
  await row.getByRole("button", { name: "Begin" }).click();
  await row.getByRole("button", { name: "End" }).click();
  await page.getByLabel("Minutes used").fill("7");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(row).toContainText("7 min, done");
  expect(await findings(page)).toEqual([]);
});

test("a training is signed and taken back; a student sees the own one only", async ({ browser, page }) => {
  await enter(page, "Mara");
  await page.goto(`${base}/training`);
  const sign = page.getByRole("button", { name: "sign Wen Jiao, Laser cutter" });
  await expect(sign).toBeEnabled();
  await sign.click();
  const back = page.getByRole("button", { name: "take back Wen Jiao, Laser cutter" });
  await expect(back).toBeVisible();
  const row = page.getByRole("row").filter({ hasText: "Wen Jiao" });
  await expect(row).toContainText("until 2 September 2027");
  await back.click();
  await expect(sign).toBeVisible();
  expect(await findings(page)).toEqual([]);
  const student = await stranger(browser);
  await enter(student, "Ines Castellane");
  await student.goto(`${base}/training`);
  await expect(student.getByRole("row").filter({ hasText: "Ines Castellane" })).toBeVisible();
  await expect(student.getByText("Wen Jiao")).toHaveCount(0);
});

test("a near miss is told by a student, read by the instructor alone, and closed once it changed something", async ({
  browser,
  page,
}) => {
  const student = await stranger(browser);
  await enter(student, "Ines Castellane");
  await student.goto(`${base}/safety`);
  await student.getByRole("button", { name: "Tell what happened, or nearly" }).click();
  await student.getByLabel("What happened").fill("The clamp slid and the blade jumped.");
  await student.getByRole("button", { name: "Send it" }).click();
  await expect(student.getByText("Your instructors have it.", { exact: true })).toBeVisible();
  await student.reload();
  await expect(student.getByRole("heading", { name: "Something happened, or nearly?" })).toBeVisible();
  await expect(student.getByText("the blade jumped")).toHaveCount(0);
  expect(await findings(student)).toEqual([]);

  await enter(page, "Mara");
  await page.goto(`${base}/safety`);
  const told = page.getByRole("listitem").filter({ hasText: "the blade jumped" });
  await told.getByRole("button", { name: "close it" }).click();
  await expect(told.getByRole("alert")).toContainText("who was told");
  await told.getByRole("button", { name: "say who was told and what was changed" }).click();
  await page.getByLabel("Who was told").fill("Workshop technician");
  await page.getByLabel("What was changed").fill("A second clamp hangs at the saw.");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(told).toContainText("Changed: A second clamp");
  await told.getByRole("button", { name: "close it" }).click();
  await expect(told.getByRole("button", { name: "open it again" })).toBeVisible();
  const list = await page.request.get(`${demoUrl}/p/terrace-pump/csv/incidents`);
  expect(await list.text()).toContain("The clamp slid and the blade jumped.");
});

test("stock comes and goes, what is bought leaves the list, a kit is counted back", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${base}/stock`);
  const ply = page.getByRole("table", { name: "In stock" }).getByRole("row").filter({ hasText: "Birch plywood 3 mm" });
  await expect(ply).toContainText("4 sheets");
  await ply.getByRole("button", { name: "came or went" }).click();
  await page.getByLabel("How much").fill("9");
  await choose(page.getByLabel("Team", { exact: true }), { label: "Gully" });
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText(/There are 4 sheets by the record/).first()).toBeVisible();
  await page.getByLabel("How much").fill("1");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(ply).toContainText("3 sheets");
  const valve = page.getByRole("button", { name: "it is here Rubber flap valve" });
  await valve.click();
  await expect(valve).toHaveCount(0);
  await page.getByRole("button", { name: "count back" }).click();
  await page.getByLabel("pipe clip, of 4").fill("3");
  await page.getByRole("button", { name: "Counted" }).click();
  await expect(page.getByText("missing 1 × pipe clip")).toBeVisible();
  expect(await findings(page)).toEqual([]);
});

test("a list of pieces is planned while it is typed, kept, and found again with its plan", async ({ browser }) => {
  const page = await stranger(browser);
  await enter(page, "Ines Castellane");
  await page.goto(`${base}/cutting`);
  await expect(page.getByText("An example, until you write")).toBeVisible();
  const title = page.getByLabel("Title");
  await expect(title).toBeEnabled();
  await title.fill("Alder: box");
  await page.getByLabel("Width of a cut (mm)").fill("2");
  await page.getByLabel("Cut from").fill("Birch ply; 600 × 400; 1");
  await page.getByLabel("Pieces").fill("Wall; 290 × 150; 4\nBase; 280 × 280");
  await expect(page.getByText(/5 pieces from \d sheets/)).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: "Keep this list" }).click();
  await expect(page.getByRole("heading", { name: "Alder: box", level: 1 })).toBeVisible();
  await expect(page.getByText(/5 pieces from \d sheets/)).toBeVisible();
  await expect(page.getByRole("img", { name: /Birch ply with/ }).first()).toBeVisible();
});
