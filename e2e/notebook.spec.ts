// Notebooks as an instructor reads them: unread by one key, a remark that its student finds under the entry.
import { expect, test } from "@playwright/test";
import sharp from "sharp";
import { choose, demoUrl, enter, findings, focusOn, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump/notebook`;

test("unread entries are read by one key; a remark reaches the student; an amendment is unread again", async ({
  page,
  browser,
}) => {
  const ines = await stranger(browser);
  await ines.setViewportSize({ width: 390, height: 844 });
  await enter(ines, "Ines Castellane");
  await ines.goto(base);
  await ines.getByRole("button", { name: "begin with goal, did, saw, next" }).click();
  await expect(ines.getByLabel("Today's entry")).toHaveValue(/^Goal: \nDid: /);
  await expect(ines.getByRole("button", { name: "Write it into the notebook" })).toBeDisabled();
  const words = "Goal: less force. Did: moved the pivot. Saw: 38 N. Next: a longer handle.";
  await ines.getByLabel("Today's entry").fill(words);
  await ines.getByRole("button", { name: "Write it into the notebook" }).click();
  await expect(ines.getByRole("article").filter({ hasText: words })).toBeVisible();

  await enter(page, "Mara");
  await page.goto(base);
  const choice = page.getByRole("navigation", { name: "Which entries" });
  await choice.getByRole("link", { name: /^unread: \d+$/ }).click();
  await expect(page).toHaveURL(/unread=1/);
  const unread = page.locator("[data-unread]");
  const before = await unread.count();
  expect(before).toBeGreaterThan(1);
  expect(await findings(page)).toEqual([]);
  await page.keyboard.press("n");
  await expect(unread.first()).toBeFocused();
  await page.keyboard.press("n");
  await expect(unread).toHaveCount(before - 1);
  const entry = unread.filter({ hasText: words });
  await entry.getByRole("button", { name: "remark" }).click();
  await entry.getByLabel("Remark").fill("How did you measure the 38 N?");
  await entry.getByRole("button", { name: "Say it to the student" }).click();
  await expect(entry.getByText("How did you measure the 38 N?")).toBeVisible();
  // Taken back, and brought back.
  await entry.getByRole("button", { name: "withdraw" }).click();
  await expect(entry.getByText("How did you measure the 38 N?")).toHaveCount(0);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(entry.getByText("How did you measure the 38 N?")).toBeVisible();
  await entry.getByRole("button", { name: "read", exact: true }).click();
  await expect(unread).toHaveCount(before - 2);

  await ines.reload();
  const own = ines.getByRole("article").filter({ hasText: "moved the pivot" });
  await expect(own).toContainText("How did you measure the 38 N?");
  await own.getByRole("button", { name: "amend" }).click();
  await own.getByLabel("Entry").fill(`${words} Measured with the luggage scale.`);
  await own.getByLabel("Why it is amended").fill("asked");
  await own.getByRole("button", { name: "Amend", exact: true }).click();
  await expect(own).toContainText("luggage scale");
  expect(await findings(ines)).toEqual([]);
  await page.reload();
  await expect(unread.filter({ hasText: "luggage scale" })).toContainText("amended since");
});

test("a picture is added and marked on a phone; who may read it; the whole notebook as a book", async ({
  browser,
  page,
}) => {
  const greta = await stranger(browser);
  await greta.setViewportSize({ width: 390, height: 844 });
  await enter(greta, "Greta");
  await greta.goto(base);
  const entry = greta.getByRole("article").filter({ hasText: "Corks jam" });
  const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#754" } })
    .jpeg()
    .toBuffer();
  await expect(entry.getByRole("button", { name: /^add a picture/ })).toBeEnabled();
  await entry.getByLabel(/^Picture for/).setInputFiles({ name: "cork.jpg", mimeType: "image/jpeg", buffer: picture });
  await entry.getByRole("button", { name: "mark it" }).click();
  const pad = entry.getByRole("button", { name: /^Put a mark/ });
  await focusOn(pad);
  await greta.keyboard.press("Shift+ArrowRight");
  await entry.getByLabel("What is to be seen there").fill("It swells here");
  await entry.getByRole("button", { name: "Put mark 1" }).click();
  await expect(entry.getByRole("listitem").filter({ hasText: "It swells here" })).toBeVisible();
  await entry.getByRole("button", { name: "done" }).click();
  expect(await greta.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  expect(await findings(greta)).toEqual([]);
  const file = (await entry.getByRole("img").first().getAttribute("src"))!;
  expect((await greta.request.get(demoUrl + file)).status()).toBe(200);

  await enter(page, "Ines");
  expect((await page.request.get(demoUrl + file)).status()).toBe(404);
  const mara = await stranger(browser);
  await enter(mara, "Mara");
  expect((await mara.request.get(demoUrl + file)).status()).toBe(200);
  await mara.goto(`${demoUrl}/p/terrace-pump/people`);
  await mara.getByRole("link", { name: "Greta Malik" }).click();
  await expect(mara.getByRole("heading", { level: 1, name: "Greta Malik" })).toBeVisible();
  await mara.getByRole("main").getByRole("link", { name: "Notebook", exact: true }).click();
  await expect(mara.getByRole("heading", { level: 1, name: "Notebook of Greta Malik" })).toBeVisible();
  await mara.getByRole("link", { name: "Bound book" }).click();
  await expect(mara).toHaveURL(/\/notebook\/book/);
  await expect(mara.getByRole("heading", { level: 1, name: "Notebook of Greta Malik" })).toBeVisible();
  await expect(mara.getByText("It swells here")).toBeVisible();
  await expect(mara.getByText("the ruler was read from the side")).toBeVisible();
  expect(await findings(mara)).toEqual([]);
  await page.goto(mara.url());
  await expect(page.getByRole("heading", { name: "There is no such page here" })).toBeVisible();
});

test("an entry is countersigned by a partner, who reads that one alone; the instructor marks from there", async ({
  browser,
  page,
}) => {
  await enter(page, "Greta");
  await page.goto(base);
  const entry = page.getByRole("article").filter({ hasText: "agree on what changes in G1" });
  await entry.getByRole("button", { name: "have it countersigned" }).click();
  await choose(entry.getByLabel("By", { exact: true }), { label: "Hugo Penhallow" });
  await entry.getByRole("button", { name: "Show it" }).click();
  await expect(entry).toContainText("shown to Hugo Penhallow, not signed yet");
  expect(await findings(page)).toEqual([]);

  const hugo = await stranger(browser);
  await hugo.setViewportSize({ width: 390, height: 844 });
  await enter(hugo, "Hugo");
  await hugo.goto(base);
  const shown = hugo.getByRole("region", { name: "To countersign" });
  await expect(shown).toContainText("agree on what changes in G1");
  expect(await hugo.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  expect(await findings(hugo)).toEqual([]);
  const mine = shown.getByRole("listitem").filter({ hasText: "agree on what changes in G1" });
  await mine.getByRole("button", { name: /^I have read it: sign/ }).click();
  await expect(mine).toHaveCount(0);
  await page.reload();
  await expect(entry).toContainText("Countersigned by Hugo Penhallow");

  const mara = await stranger(browser);
  await enter(mara, "Mara");
  await mara.goto(base);
  await mara.getByRole("link", { name: "Greta Malik" }).click();
  const marks = mara.getByRole("region", { name: "Marks that are entered" });
  await marks.getByRole("button").first().click();
  await marks.getByLabel("Mark").fill("17");
  await marks.getByRole("button", { name: "Save" }).click();
  await expect(marks.getByRole("listitem").first()).toContainText("17");
  await marks.getByRole("button", { name: "by Design review" }).click();
  await choose(marks.getByRole("combobox").first(), "3");
  await marks.getByRole("button", { name: "Enter this mark" }).click();
  await expect(marks.getByRole("listitem").first()).toContainText("% by Design review");
});
