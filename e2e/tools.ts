import { readFileSync } from "node:fs";
import { type Browser, expect, type Locator, type Page } from "@playwright/test";

export const demoUrl = process.env.DEMO_URL!;
export const emptyUrl = process.env.EMPTY_URL!;

/** Enters the demo as one of its people. */
export async function enter(page: Page, name: string): Promise<void> {
  await page.goto(`${demoUrl}/sign-in`);
  await page.getByRole("button", { name: new RegExp(name) }).click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.waitForURL(`${demoUrl}/`);
}

/** A page in a browser of its own, without anybody signed in. */
export const stranger = async (browser: Browser): Promise<Page> => (await browser.newContext()).newPage();

/** Puts the focus where keys are to go, once the page takes them: a field of a page that still comes takes none. */
export async function focusOn(where: Locator): Promise<void> {
  await expect(where).toBeEnabled();
  await where.focus();
  await expect(where).toBeFocused();
}

/** Serious and critical findings of axe-core on the page as it stands, with where they are. */
export async function findings(page: Page): Promise<string[]> {
  // It stays in a page that is looked at twice.
  if (!(await page.evaluate(() => "axe" in window)))
    await page.evaluate(readFileSync("node_modules/axe-core/axe.min.js", "utf8"));
  return page.evaluate(async () => {
    const axe = (
      window as unknown as {
        axe: {
          _audit?: { rules: { id: string; impact?: string }[] };
          run(o: object): Promise<{
            violations: { id: string; impact: string; nodes: { html: string; failureSummary: string }[] }[];
          }>;
        };
      }
    ).axe;
    // A rule whose findings are never more than moderate is not asked: a third of what looking at a page costs.
    const mild = (axe._audit?.rules ?? []).filter((r) => r.impact === "moderate" || r.impact === "minor");
    const rules = Object.fromEntries(mild.map((r) => [r.id, { enabled: false }]));
    const r = await axe.run({ resultTypes: ["violations"], rules });
    return r.violations
      .filter((v) => v.impact === "serious" || v.impact === "critical")
      .map(
        (v) =>
          `${v.id}: ${v.nodes
            .slice(0, 3)
            .map((n) => `${n.html.slice(0, 160)} ${n.failureSummary.split("\n")[1] ?? ""}`)
            .join(" | ")}`,
      );
  });
}

/** Opens a select and takes the option with this value, or with this name. */
export async function choose(select: Locator, option: string | { label: string }): Promise<void> {
  const page = select.page();
  await select.click();
  const wanted =
    typeof option === "string"
      ? page.locator(`[role=option][data-value="${option}"]`)
      : page.getByRole("option", { name: option.label, exact: true });
  await wanted.click();
  await expect(page.getByRole("listbox")).toHaveCount(0);
}

/** Makes a guest link through the People page and gives its address and PIN. */
export async function guestLink(
  page: Page,
  slug: string,
  role: string,
  label: string,
): Promise<{ url: string; pin: string | null }> {
  await page.goto(`${demoUrl}/p/${slug}/people`);
  await choose(page.getByLabel("Who", { exact: true }), role);
  const form = page.locator("form", { has: page.getByRole("button", { name: "Make a link" }) });
  await form.getByLabel("Name").fill(label);
  await form.getByRole("button", { name: "Make a link" }).click();
  const box = page.getByText("It is shown this once.");
  await expect(box).toBeVisible();
  return {
    url: (await page.locator("code").innerText()).trim(),
    pin: /PIN (\d+)/.exec(await box.innerText())?.[1] ?? null,
  };
}

/** A device opens a guest's link, and on it the page of an event. */
export async function openEvent(
  page: Page,
  { url, pin }: { url: string; pin: string | null },
  event: string,
  /** By which address the server is come to, where it is not its own. */
  via = demoUrl,
): Promise<void> {
  await page.goto(url.replace(demoUrl, via));
  if (pin) await page.getByLabel("PIN").fill(pin);
  await page.getByRole("button", { name: "Open" }).press("Enter");
  await page.waitForURL(/\/guest/);
  await page.getByRole("link", { name: event }).press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: event })).toBeVisible();
}

/** Ticks the safety check of the bench by keyboard, where the day's first run still waits for it. */
export async function begin(
  page: Page,
  /** What waits for it. */
  entry: Locator = page.getByRole("textbox", { name: /attempt 1?\d/ }).first(),
): Promise<void> {
  const check = page.getByRole("region", { name: "Safety check" });
  await expect(check.or(entry).first()).toBeVisible();
  if (!(await check.isVisible())) return;
  const boxes = check.getByRole("checkbox");
  await expect(boxes.first()).toBeEnabled();
  for (const box of await boxes.all()) {
    await focusOn(box);
    await page.keyboard.press("Space");
    await expect(box).toBeChecked();
  }
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(check).toHaveCount(0);
}

/** Every build of a contest that still waits passes its inspection with a waiver; leaves the page on the inspection. */
export async function passAll(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/contest/inspection`);
  await expect(page.getByRole("heading", { level: 1, name: "Inspection" })).toBeVisible();
  const builds = page.getByRole("navigation", { name: "Builds" });
  const waiting = builds.getByRole("link", { name: /waits/ });
  for (let left = await waiting.count(); left > 0; left--) {
    const link = waiting.first();
    const name = (await link.innerText()).split("\n")[0]!.trim();
    await link.click();
    const sheet = page.getByRole("form", { name: `Inspection of ${name}` });
    await sheet.getByRole("button", { name: /^Pass/ }).click();
    await sheet.getByLabel(/why it may start/).fill("Seen by the shop's responsible person");
    await sheet.getByRole("button", { name: "Pass with a waiver" }).click();
    await expect(waiting).toHaveCount(left - 1);
  }
}

/** Ticks the cautions of an event on the page, signed by who answers for it. */
export async function tickCautions(page: Page, event: string, officer: string): Promise<void> {
  const check = page.getByRole("region", { name: `Cautions of ${event}` });
  await expect(check.getByRole("checkbox").first()).toBeEnabled();
  for (const box of await check.getByRole("checkbox").all()) {
    await box.press("Space");
    await expect(box).toBeChecked();
  }
  await check.getByLabel("Name of who answers for it").fill(officer);
  await check.getByRole("button", { name: "All of it is so: begin" }).click();
  await expect(page.getByText(`Cautions ticked by ${officer}.`).first()).toBeVisible();
  await expect(check).toHaveCount(0);
}
