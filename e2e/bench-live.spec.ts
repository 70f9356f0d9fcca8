// An instrument is listened to: simulated through a reload and a lost network, and a real one on a stand-in's cable.
import { type Browser, expect, type Page, test } from "@playwright/test";
import { begin, demoUrl, enter, findings } from "./tools";

async function toInstrument(page: Page) {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/cold-box/bench`);
  await page.getByRole("link", { name: "From an instrument" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "From an instrument" })).toBeVisible();
  await begin(page, page.getByRole("button", { name: "Begin", exact: true }));
}

/** How many samples the page shows of its reading. */
const shown = async (page: Page) =>
  Number(/(\d+) samples/.exec(await page.getByRole("region", { name: "Hold time" }).innerText())?.[1] ?? 0);
const samplesAbove = (page: Page, n: number) => expect.poll(() => shown(page), { timeout: 15_000 }).toBeGreaterThan(n);

test("a simulated instrument, through a reload and without a network, becomes a pilot run", async ({
  page,
  context,
}) => {
  await toInstrument(page);
  await page.getByText("Its test, its noise and its faults").click();
  await page.getByLabel("Time constant (min)").fill("none");
  await expect(page.getByText("Write a number, from 0.1 to 6000")).toBeVisible();
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await expect(page.getByText("A number under “Its test, its noise and its faults” cannot be used.")).toBeVisible();
  await page.getByLabel("Time constant (min)").fill("0.2");
  await page.getByLabel("Samples a second").fill("200");
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await samplesAbove(page, 300);
  await expect(page.getByRole("img", { name: /^Hold time: / })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  const before = await shown(page);
  await page.reload();
  await expect(page.getByText("was interrupted; what came is kept in this browser")).toBeVisible();
  await page.getByRole("button", { name: "Go on", exact: true }).click();
  await samplesAbove(page, before - 1);
  await context.setOffline(true);
  await samplesAbove(page, before + 1200);
  await expect(page.getByText("The network does not answer")).toBeVisible({ timeout: 15_000 });
  await page.getByRole("button", { name: "End it" }).click();
  await expect(page.getByRole("button", { name: "Sending…" })).toBeVisible();
  const all = await shown(page);
  await context.setOffline(false);
  await expect(page.getByRole("heading", { level: 1, name: /^Hold time/ })).toBeVisible({ timeout: 15_000 });
  await expect(page.getByText(`Simulated: thermometer in a box that warms up, seed 1 · ${all} samples`)).toBeVisible();
  await expect(page.getByText("Nothing came from")).toBeVisible();
  // 8 °C after 12 s × ln(28 / 24): 1.85 s.
  await expect(page.locator("[data-figure]").first()).toHaveText(/^0\.0005\d+ h$/);
  await page.getByLabel("Warmest vial in °C").fill("10.1");
  await page.getByRole("button", { name: "Save as a pilot run" }).click();
  await expect(page.getByText(/is pilot run \d/)).toBeVisible();
});

/** A browser whose cable has an instrument on it that says these lines, one piece after the other. */
async function cabled(browser: Browser, pieces: readonly string[]): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.addInitScript((said: readonly string[]) => {
    const stream = () =>
      new ReadableStream<Uint8Array>({
        async pull(c) {
          const next = said[(window as unknown as { at: number }).at++];
          if (next === undefined) return c.close();
          c.enqueue(new TextEncoder().encode(next));
        },
      });
    (window as unknown as { at: number }).at = 0;
    const port = { open: async () => {}, close: async () => {}, readable: null as ReadableStream | null };
    Object.defineProperty(navigator, "serial", {
      value: {
        async requestPort() {
          port.readable = stream();
          return port;
        },
      },
    });
  }, pieces);
  return page;
}

test("an instrument on a cable: its unit is converted, wrong lines are counted, and what it sent outlives it", async ({
  browser,
}) => {
  const page = await cabled(browser, [
    "# Probe 4\n0,probe,41,°F\n1,probe,4",
    "2.8,°F\n2,probe,hot,°F\n3,light,7,lx\n",
    ...Array.from({ length: 30 }, (_, i) => `${4 + i},probe,${44 + i},°F\n`),
  ]);
  await toInstrument(page);
  await page.getByLabel("Instrument", { exact: true }).click();
  await page.getByRole("option", { name: "an instrument on this computer's cable" }).click();
  await expect(page.getByLabel("Speed of its cable")).toBeVisible();
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await expect(
    page.getByText("The instrument was lost: it sends nothing any more. What it sent is kept."),
  ).toBeVisible();
  // 32 samples of a probe; one line was no number, one of a channel that no reading takes.
  expect(await shown(page)).toBe(32);
  await page.getByRole("button", { name: "End it with what is there" }).click();
  await expect(page.getByText("Instrument on a cable · 32 samples")).toBeVisible({ timeout: 15_000 });
  await page.getByRole("button", { name: "Withdraw", exact: true }).click();
  await page.getByLabel("Why? The record keeps this.").fill("The probe was in the wrong box");
  await page.getByRole("button", { name: "Withdraw it" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /Hold test/ })).toBeVisible();
});

test("what was interrupted is met again on the bench, and can be thrown away", async ({ page }) => {
  await toInstrument(page);
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await samplesAbove(page, 1);
  await page.goto(`${demoUrl}/p/cold-box/bench`);
  const kept = page.getByRole("region", { name: "Captures kept in this browser" });
  await expect(kept.getByRole("link", { name: "Go on with it" })).toBeVisible();
  await kept.getByRole("button", { name: "Throw away" }).click();
  await page.getByRole("button", { name: "Throw it away" }).click();
  await expect(kept).toHaveCount(0);
});
