// Grades that anybody can check: what a scheme would do, peers in confidence, a grade explained, an appeal, marks from
// a spreadsheet, versions that are taken back.
import { expect, type Page, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump/grades`;
const heading = (page: Page, name: string | RegExp) =>
  expect(page.getByRole("heading", { name, level: 1 })).toBeVisible();

test("a change of the scheme is tried on the class before it is saved, and says why", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${base}/scheme`);
  await heading(page, "Grading scheme");
  const effect = page.locator("section").filter({ has: page.getByRole("heading", { name: "What this would do" }) });
  await expect(effect).toContainText("No grade moves.");
  const weight = page.getByLabel("Weight, %", { exact: true });
  await weight.first().fill("50");
  await expect(effect).toContainText("The weights make 84, not 100.");
  await weight.nth(1).fill("50");
  await expect(effect).toContainText(/of 28 grades move/);
  await expect(effect.getByRole("table").first()).toContainText(/[+−]\d/);
  await expect(page.getByText("The weights make 100.")).toBeVisible();
  // By keys: the notebook is moved out of its group, and back by leaving the page.
  await focusOn(page.getByRole("button", { name: "What to do with Notebook" }));
  await page.keyboard.press("Enter");
  await page.getByRole("menuitem", { name: "Out of its group" }).press("Enter");
  await expect(weight).toHaveCount(3);
  expect(await findings(page)).toEqual([]);

  await page.goto(`${base}/scheme`);
  await expect(effect).toContainText("No grade moves.");
  await page.getByLabel("Factor at most").fill("1.05");
  await expect(effect).toContainText(/grades move/);
  await page.getByRole("button", { name: "Save as version 3" }).click();
  await expect(page.getByText(/Grades are published, and \d+ grades would move: say why\./).first()).toBeVisible();
  await page.getByLabel("Why the scheme changes").fill("the upper cap was agreed at 1.05");
  await page.getByRole("button", { name: "Save as version 3" }).click();
  await heading(page, "Grades");
  await expect(page.getByText(/Scheme v3/)).toBeVisible();
  await expect(page.getByText(/\d+ grades differ since/)).toBeVisible();
});

test("students rate their team in confidence; the instructor sees who is missing and what is odd", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  await page.goto(`${base}/peers`);
  await heading(page, "Peer ratings");
  await expect(page.getByText("26 of 28 handed in")).toBeVisible();
  await expect(page.getByText(/gave each other the most/)).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: "Open another rating" }).click();
  await page.getByLabel("What it is called").fill("Before the contest");
  await page.getByRole("radio", { name: /^shares of 100/ }).click();
  await page.getByRole("button", { name: "Open it to the students" }).click();
  await expect(page.getByText("0 of 28 handed in")).toBeVisible();

  const greta = await stranger(browser);
  await greta.setViewportSize({ width: 390, height: 844 });
  await enter(greta, "Greta Malik");
  await greta.goto(`${base}/peers`);
  await heading(greta, "Rate your team");
  const share = greta.getByLabel("Share of 100");
  await expect(share).toHaveCount(2);
  await share.first().fill("70");
  await share.nth(1).fill("40");
  await expect(greta.getByText("10 too many")).toBeVisible();
  await greta.getByRole("button", { name: "Hand in" }).click();
  await expect(greta.getByText("The shares make 110, not 100.").first()).toBeVisible();
  await share.first().fill("60");
  await greta.getByRole("button", { name: "Hand in" }).click();
  await expect(greta.getByText("Handed in.")).toBeVisible();
  expect(await findings(greta)).toEqual([]);
  // What others handed in to the first rating is on no page of hers.
  for (const path of ["", "/peers"])
    expect(await (await greta.request.get(`${base}${path}`)).text()).not.toContain("Came late a lot");
  await expect(page.getByText("1 of 28 handed in")).toBeVisible();
  await page.getByRole("button", { name: "Close the rating" }).click();
  await expect(page.getByRole("button", { name: "Open it again" })).toBeVisible();
});

test("a grade is explained to its student, who asks to look again; nobody reads another's", async ({
  page,
  browser,
}) => {
  const ines = await stranger(browser);
  await enter(ines, "Ines Castellane");
  await ines.goto(base);
  await heading(ines, "My grade");
  const tree = ines.getByRole("region", { name: "How the grade came about" });
  await expect(tree).toContainText("times the peer factor");
  await expect(tree).toContainText(/The next level: .* would have added/);
  await expect(ines.getByText("Not answered yet.")).toBeVisible();
  expect(await findings(ines)).toEqual([]);

  await enter(page, "Mara");
  await page.goto(base);
  await page.getByRole("link", { name: "Ines Castellane" }).first().click();
  await heading(page, "Ines Castellane");
  const own = page.url();
  await choose(page.getByLabel("Outcome"), "stands");
  await page.getByLabel("Answer to the student").fill("That run counts: it is the 8.4 of the list.");
  await page.getByRole("button", { name: "Answer" }).click();
  await expect(page.locator("strong", { hasText: "the grade stands" })).toBeVisible();
  await expect(ines.getByText("That run counts")).toBeVisible();
  expect(await findings(page)).toEqual([]);
  // More time for the drawing, and back.
  const drawing = page.getByRole("row", { name: /^Drawing on time/ });
  await drawing.getByRole("button", { name: "more time" }).click();
  await drawing.getByLabel("Why").fill("was ill");
  await drawing.getByRole("button", { name: "Save" }).click();
  await expect(drawing).toContainText("with 1 class session more");

  // A student's address of another's grade, the scheme and the lists of marks are not there.
  for (const path of [own, `${base}/scheme`, `${base}/spreadsheet`])
    expect([path, (await ines.request.get(path)).status()]).toEqual([path, 404]);
});

test("marks come in from a spreadsheet once it is seen what changes; a published version is taken back", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${base}/spreadsheet`);
  await heading(page, "Marks and spreadsheets");
  const list = page.getByLabel("Paste from a spreadsheet");
  await expect(list).toBeEnabled();
  await list.fill("Student\tNotebook\tNonsense\nYuki Sorano\t14 from the list\t3\nSomebody\t12\t3");
  await page.getByRole("button", { name: "See what changes" }).click();
  const look = page.getByRole("region", { name: "What would change" });
  await expect(look).toContainText("1 mark would change");
  await expect(look).toContainText("“Nonsense” is no component of the scheme");
  await expect(look).toContainText("Nobody in the class is called “Somebody”.");
  await expect(look.getByRole("row", { name: /Yuki Sorano/ })).toContainText("14 from the list");
  expect(await findings(page)).toEqual([]);
  await look.getByRole("button", { name: "Enter 1 mark" }).click();
  await expect(page.getByText("1 mark is entered.", { exact: true })).toBeVisible();

  await page.goto(base);
  await expect(page.getByRole("row", { name: /^Yuki Sorano/ })).toContainText("70.0");
  const second = page.getByRole("listitem").filter({ hasText: /^Version 2/ });
  await second.getByRole("button", { name: "withdraw" }).click();
  await second.getByLabel("Why it is taken back").fill("one notebook was read wrong");
  await second.getByRole("button", { name: "Withdraw this version" }).click();
  await expect(second).toContainText("one notebook was read wrong");
  await expect(page.getByText(/published version 1/)).toBeVisible();
  await page.getByLabel("What changed since the last publication").fill("read again");
  await page.getByRole("button", { name: "Publish a new version" }).click();
  await expect(page.getByText(/published version 3/)).toBeVisible();
});
