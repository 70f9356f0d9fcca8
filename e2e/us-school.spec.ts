// A school with US units, three sections on a six-day cycle with double periods and 64 students with awkward names,
// from the roster to the next edition; counted are the presses that the frequent jobs take.
import { expect, type Page, test } from "@playwright/test";
import { choose, emptyUrl, focusOn, stranger } from "./tools";

const at = `${emptyUrl}/p/hillside-lift`;
const password = "a quiet garden pump";

/** Names that lists, logins and tables must bear; two in one section have the same. */
const awkward = [
  "Ana María de los Ángeles Fernández-Gutiérrez y Castellanos del Río",
  "Þórunn Ægisdóttir",
  "Łucja Żółć",
  "Seán Ó Briain",
  "Nguyễn Thị Hồng Ánh",
  "D'Arcy O’Neil-Smith",
  "Xi",
  "=SUM(A1)",
  "محمد علي",
  "Ada Quill",
  "Ada Quill",
  "Robert'); DROP TABLE person;--",
];
const students = Array.from({ length: 64 }, (_, i) => ({
  name: awkward[i] ?? `Student ${i + 1}`,
  section: ["A", "B", "C"][i < awkward.length ? 0 : i % 3]!,
}));

async function begin(page: Page) {
  await page.goto(emptyUrl);
  await page.waitForURL(/welcome|sign-in/);
  if (page.url().includes("welcome")) {
    await page.getByLabel("Your name").fill("Mara Okonedo");
    await page.getByLabel("Email").fill("mara@hartsedge.example");
    await page.getByLabel("Password").fill(password);
    await page.getByRole("button", { name: "Begin" }).click();
  } else {
    await page.getByLabel("Email").fill("mara@hartsedge.example");
    await page.getByLabel("Password").fill(password);
    await page.getByRole("button", { name: "Sign in" }).click();
  }
  await page.waitForURL(`${emptyUrl}/`);
}

/** Counts the presses of a job. */
function pressing(page: Page) {
  let n = 0;
  return {
    async press(name: string | RegExp) {
      n++;
      await page.getByRole("button", { name }).first().click();
    },
    count: () => n,
  };
}

const wide = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);

test("64 students, pounds and inches: from the roster to the next edition", async ({ page, browser }) => {
  await begin(page);
  await test.step("a project on a six-day cycle with double periods, in US units and dates", async () => {
    await page.goto(`${emptyUrl}/new`);
    await page.getByLabel("Title").fill("Hillside Lift");
    await page.getByLabel("First day").fill("2027-01-18");
    await page.getByLabel("Last day").fill("2027-03-26");
    for (const [i, name] of ["A", "B", "C"].entries()) {
      if (i) await page.getByRole("button", { name: "another section" }).click();
      await page.getByLabel("Section", { exact: true }).nth(i).fill(name);
      await choose(page.getByLabel("Meets", { exact: true }).nth(i), "cycle");
      await page.getByLabel("Days in the cycle").nth(i).fill("6");
      await page
        .getByLabel("Meets on day")
        .nth(i)
        .fill(String(i + 1));
    }
    await page.getByRole("button", { name: "Create project" }).click();
    await page.waitForURL(at);
    await page.goto(`${at}/settings`);
    await choose(page.getByLabel("Units"), "us");
    await choose(page.getByLabel("Dates"), "month");
    await page.getByRole("button", { name: "Keep these schools" }).click();
    await expect(page.getByText("Kept.")).toBeVisible();
    await page.goto(`${at}/plan/calendar`);
    await page
      .getByRole("button", { name: /^Change the pattern/ })
      .first()
      .click();
    const pattern = page.locator("form", { has: page.getByRole("button", { name: "Save the pattern" }) }).first();
    const before = Number(
      /of (\d+)/.exec(
        await page
          .getByText(/session \d+ of \d+/)
          .first()
          .innerText(),
      )![1],
    );
    await pattern.getByLabel("day 4", { exact: true }).first().check();
    await pattern.getByLabel("day 4", { exact: true }).last().check();
    await pattern.getByRole("button", { name: "Save the pattern" }).click();
    await expect(page.getByText(new RegExp(`session \\d+ of ${before} ·`))).toHaveCount(0);
    await page.goto(`${at}/plan`);
    const after = Number(
      /of (\d+)/.exec(
        await page
          .getByText(/session \d+ of \d+/)
          .first()
          .innerText(),
      )![1],
    );
    expect(after).toBeGreaterThan(before * 2);
    await expect(page.getByText("Tue, March 2")).toBeVisible();
  });
  await test.step("the roster as pasted; two of one name in one section are kept apart", async () => {
    await page.goto(`${at}/people`);
    const rows = students.map((s, i) => `${s.name}\t${s.section}\ts${i}@hillside.example`);
    await page.getByLabel(/^Paste from a spreadsheet/).fill(["Name\tSection\tEmail", ...rows].join("\n"));
    await page.getByRole("button", { name: "Preview" }).click();
    await expect(page.getByText("64 students can be imported")).toBeVisible();
    await page.getByRole("button", { name: /^Import/ }).click();
    await expect(page.getByText("64 students in 3 sections")).toBeVisible();
    for (const name of ["Łucja Żółć", "=SUM(A1)", "محمد علي"])
      await expect(page.getByRole("cell", { name, exact: true })).toBeVisible();
  });
  const login = { name: "", password: "" };
  await test.step("64 logins in at most ten presses", async () => {
    const job = pressing(page);
    await job.press(/^Make all 64/);
    const slips = page.getByRole("region", { name: "New logins" });
    await expect(slips.getByRole("listitem")).toHaveCount(64);
    expect(job.count()).toBeLessThanOrEqual(10);
    const mine = slips.getByRole("listitem").filter({ hasText: "Þórunn" });
    [login.name, login.password] = (await Promise.all([1, 2].map((i) => mine.locator("dd").nth(i).innerText()))) as [
      string,
      string,
    ];
  });
  await test.step("nine rules of the brief become requirements with one press each", async () => {
    await page.goto(`${at}/brief/edit`);
    await page
      .getByLabel("Brief", { exact: true })
      .fill(
        [
          "## Need\n\nWater for the upper terrace.\n\n## Rules\n",
          "- The pump weighs at most 9 lb",
          "- It fits into 18 × 12 × 14 in",
          "- Its parts cost at most $35",
          "- It lifts at least 2 gal/min",
          "- The hose is at least 3 ft 6 in long",
          "- It makes at most 70 dB of noise",
          "- One stroke takes at most 1.5 s",
          "- The handle stands 36 ± 0.5 in above the ground",
          "- It runs for at least 10 min without help",
        ].join("\n"),
      );
    await page.getByRole("button", { name: "Save version 1" }).click();
    const open = page.getByRole("button", { name: "make it a requirement" });
    await expect(open).toHaveCount(9);
    const job = pressing(page);
    for (let left = 9; left > 0; left--) {
      await job.press("make it a requirement");
      await expect(open).toHaveCount(left - 1);
    }
    expect(job.count()).toBeLessThanOrEqual(9 * 3);
    await page.goto(`${at}/needs`);
    for (const limit of ["mass ≤ 9 lb", "envelope 18 × 12 × 14 in", "cost ≤ 35", "≥ 3.5 ft", "36 ± 0.5 in"])
      await expect(page.getByRole("cell", { name: limit }).first()).toBeVisible();
  });
  await test.step("teams are drawn, and a gate is signed for all of them in at most three presses", async () => {
    await page.goto(`${at}/teams`);
    await choose(page.getByLabel("Section", { exact: true }).first(), { label: "A" });
    await page.getByLabel("Smallest").fill("3");
    await page.getByLabel("Largest").fill("4");
    await page.getByRole("button", { name: "Draw teams" }).click();
    await expect(page.getByRole("heading", { name: "Section A" })).toBeVisible();
    await page.goto(`${at}/plan`);
    await page.getByLabel("Milestone").first().fill("Drawing in");
    await page.getByLabel("Due").first().fill("2027-03-05");
    await page.getByRole("button", { name: "Add milestone" }).click();
    await page.goto(`${at}/plan/gates`);
    await page.getByRole("button", { name: "prototype", exact: true }).click();
    await expect(page.getByText("signed for 0 of 8")).toBeVisible();
    const job = pressing(page);
    await job.press(/^Sign for (all|the)/);
    if (await page.getByRole("button", { name: "Yes, do it" }).isVisible()) await job.press("Yes, do it");
    await expect(page.getByText("signed for 8 of 8")).toBeVisible();
    expect(job.count()).toBeLessThanOrEqual(3);
  });
  await test.step("a student at 360 px signs in and records a build by keyboard, in pounds and inches", async () => {
    const phone = await stranger(browser);
    await phone.setViewportSize({ width: 360, height: 740 });
    await phone.goto(`${emptyUrl}/sign-in`);
    await focusOn(phone.getByLabel("Email"));
    await phone.keyboard.type(login.name);
    await phone.keyboard.press("Tab");
    await phone.keyboard.type(login.password);
    await phone.keyboard.press("Enter");
    await phone.waitForURL(`${emptyUrl}/`);
    for (const path of ["", "/brief", "/needs", "/teams", "/plan", "/plan/gates", "/builds", "/bench", "/notebook"]) {
      await phone.goto(at + path);
      await expect(phone.getByRole("heading", { level: 1 }).first()).toBeVisible();
      expect.soft([path, await wide(phone)]).toEqual([path, 0]);
    }
    await phone.goto(`${at}/builds`);
    await focusOn(phone.getByRole("link", { name: "record its first" }));
    await phone.keyboard.press("Enter");
    await phone.getByLabel("What changed").fill("First of all");
    await phone.getByLabel("Mass").fill("9 lb 2 oz");
    await focusOn(phone.getByLabel("Size"));
    await phone.keyboard.type("18 × 12 × 13 1/2");
    await focusOn(phone.getByRole("button", { name: "Record the build" }));
    await phone.keyboard.press("Enter");
    await expect(phone.getByRole("heading", { level: 1, name: /G1$/ })).toBeVisible();
    await expect(phone.getByRole("main")).toContainText(/9\.1\d*\s*lb/);
    await expect(phone.getByRole("main")).toContainText(/18 × 12 × 13(\.5| 1\/2)\s*in/);
    expect(await wide(phone)).toBe(0);
    await phone.context().close();
  });
  await test.step("the next edition carries what is ticked", async () => {
    await page.goto(`${at}/records`);
    await page.getByRole("button", { name: "Finish the project" }).click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await page.getByLabel("Title").fill("Hillside Lift II");
    await page.getByLabel("First day").fill("2027-09-06");
    await page.getByLabel("Last day").fill("2027-11-12");
    await page.getByRole("button", { name: "Begin the next edition" }).click();
    await page.waitForURL(/hillside-lift-ii/);
    await page.goto(`${emptyUrl}/p/hillside-lift-ii/needs`);
    await expect(page.getByRole("cell", { name: "≤ 9 lb" })).toBeVisible();
    await page.goto(`${emptyUrl}/p/hillside-lift-ii/plan/gates`);
    await expect(page.getByRole("heading", { name: /Drawing in/ })).toBeVisible();
  });
});
