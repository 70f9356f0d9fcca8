// Runs held against one another, and an experiment planned, pressed through in the browser.
import { expect, test } from "@playwright/test";
import { begin, demoUrl, enter, focusOn } from "./tools";

test("a team's builds are compared two by two, teams side by side, two factors crossed; every figure opens", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await page.getByRole("link", { name: "Compare", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Compare" })).toBeVisible();
  const pair = page.getByRole("row", { name: /G3 against G2/ });
  await expect(pair).toContainText("stroke and valve changed together: the record cannot say which one did it");
  await pair.getByRole("button").first().press("w");
  const drawer = page.getByRole("dialog");
  await expect(drawer).toContainText("Welch");
  await expect(drawer).toContainText("Holm's correction, 3 comparisons");
  await page.keyboard.press("Escape");

  await page.getByRole("link", { name: "teams", exact: true }).click();
  await expect(page.getByRole("row", { name: /Cistern G4 against Alder G3.*Cistern G4 is higher/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /Freshet G3.*all read the same/ })).toBeVisible();

  await page.getByRole("link", { name: "two factors" }).click();
  await expect(page.getByText("Not an experiment: these builds also differ in")).toBeVisible();
  await expect(page.getByRole("row", { name: /^scatter/ })).toBeVisible();
  await page.getByLabel("Second factor").getByRole("link", { name: "valve" }).click();
  await expect(page).toHaveURL(/y=valve/);
  await page.goBack();
  await expect(page).not.toHaveURL(/y=valve/);

  await page.getByRole("link", { name: "predictions" }).click();
  await page.getByRole("button", { name: /^Half of the 13 predictions/ }).click();
  await expect(drawer).toContainText("Alder G1: 4 ÷");
});

test("an experiment is planned by keyboard: what is wrong is said, a seed draws the same order", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench/experiment`);
  const factors = page.getByLabel("Factors and their levels");
  await factors.fill("valve flap");
  await page.getByLabel("Seed of the order").fill("4417");
  await page.keyboard.press("Enter");
  await expect(
    page.getByText("“valve flap”: write a name, a colon and the levels, like valve: flap, ball"),
  ).toBeVisible();
  await expect(factors).toHaveValue("valve flap");
  await factors.fill("valve: flap, ball\nstroke: 0.22 m, 0.25 m, 0.30 m");
  await focusOn(page.getByLabel("Seed of the order"));
  await page.keyboard.press("Enter");
  await expect(page.getByText("12 runs in 48 min")).toBeVisible();
  await expect(page.getByText(/which show a difference of/).first()).toBeVisible();
  const rows = page.getByRole("table", { name: "Runs in their order" }).getByRole("row");
  await expect(rows).toHaveCount(13);
  const order = await rows.allInnerTexts();
  await page.reload();
  await expect(rows).toHaveCount(13);
  expect(await rows.allInnerTexts()).toEqual(order);
});

test("a protocol from the shelf: a machine of steps says where it stops and which repair gains most", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await page.getByRole("link", { name: "New protocol" }).click();
  await page.getByRole("link", { name: "Steps that trigger one another" }).click();
  await expect(page.getByLabel("Name", { exact: true }).first()).toHaveValue("Steps that trigger one another");
  await page.getByRole("button", { name: "Save protocol" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /Steps that trigger one another/ })).toBeVisible();
  await expect(page.getByText("Hands stay out once it has started.")).toBeVisible();
  await begin(page);
  for (const [n, passed] of ["5", "3", "5", "0"].entries()) {
    const steps = page.getByRole("textbox", { name: new RegExp(`^Steps passed without help, attempt ${n + 1}`) });
    await steps.fill(passed);
    await page.keyboard.press("Enter");
    await page.keyboard.type("20");
    await page.keyboard.press("Enter");
    await expect(page.getByText(`Attempt ${n + 1} is saved.`)).toBeVisible();
  }
  await expect(page.getByText("The whole chain passes")).toContainText(
    /50\s*%, so the first success takes 2\.0 trials/,
  );
  await expect(page.getByRole("row", { name: /^4 Wheel turns 3 2 67 %/ })).toBeVisible();
  await expect(page.getByText("a repair of Wheel turns gains most")).toBeVisible();
});
