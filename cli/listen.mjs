// A live instrument through what goes wrong: the page is loaded again once, the server is killed twice, and every
// sample that the page had shown, or the server had acknowledged, has to be there at the end.
import { setTimeout as pause } from "node:timers/promises";
import { onRig } from "./rig.mjs";
import { Refusal, say } from "./say.mjs";
import { chromium, needPrograms } from "./system.mjs";

const flags = ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--no-first-run"];
const rate = 200;

/** The samples that the page shows of its reading. */
const shown = async (page) =>
  Number(/(\d+) samples/.exec(await page.getByRole("region", { name: "Hold time" }).innerText())?.[1] ?? 0);

/** Opens the page that listens, with the day's safety check ticked. */
async function toInstrument(page, url) {
  await page.goto(`${url}/sign-in`);
  await page.getByRole("button", { name: /Mara/ }).click();
  await page.waitForURL(`${url}/`);
  await page.goto(`${url}/p/cold-box/bench`);
  await page.getByRole("link", { name: "From an instrument" }).click();
  await page.getByRole("heading", { level: 1, name: "From an instrument" }).waitFor();
  const begin = page.getByRole("button", { name: "Begin", exact: true });
  const check = page.getByRole("region", { name: "Safety check" });
  await begin.or(check).first().waitFor();
  if (!(await check.isVisible())) return;
  for (const box of await check.getByRole("checkbox").all()) await box.click();
  await check.getByRole("button").click();
  await begin.waitFor();
}

/** The longest wait of the page's own thread, in milliseconds, since it was asked last. */
const watch = (page) =>
  page.evaluate(() => {
    window.longest = 0;
    let last = performance.now();
    const tick = () => {
      const now = performance.now();
      window.longest = Math.max(window.longest, now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });

export async function listen(minutes) {
  if (!(minutes >= 0.5 && minutes <= 120)) throw new Refusal("How many minutes? Write: ./ironstone listen 10");
  await needPrograms({ browser: true });
  return onRig(
    () => null,
    (rig) => session(minutes, rig),
  );
}

async function session(minutes, { url, sql, serverNow }) {
  const { chromium: engine } = await import("@playwright/test");
  const browser = await engine.launch({ executablePath: chromium(), args: flags });
  try {
    const page = await browser.newPage();
    await toInstrument(page, url);
    await page.getByText("Its test, its noise and its faults").click();
    await page.getByLabel("Samples a second").fill(String(rate));
    await page.getByRole("button", { name: "Begin", exact: true }).click();
    await watch(page);
    say(`${minutes} minutes at ${rate} samples a second`);
    const quarter = minutes * 15_000;

    await pause(quarter);
    const before = await shown(page);
    await page.reload();
    await page.getByRole("button", { name: "Go on", exact: true }).click();
    await watch(page);
    say(`the page was loaded again: it had shown ${before} samples`);

    const acknowledged = [];
    for (const name of ["first", "second"]) {
      await pause(quarter);
      const [{ n }] = await sql`
        SELECT coalesce(sum(b.n), 0)::int AS n
        FROM series_block b
        JOIN series s ON s.id = b.series_id
        WHERE s.source LIKE 'Simulated%'
      `;
      process.kill(serverNow().child.pid, "SIGKILL");
      acknowledged.push(n);
      say(`the server was killed (the ${name} time) with ${n} samples in its database`);
    }
    await pause(quarter);
    const longest = await page.evaluate(() => window.longest);
    const all = await shown(page);
    await page.getByRole("button", { name: "End it" }).click();
    await page.waitForURL(/series\?id=/, { timeout: 60_000 });

    const id = new URL(page.url()).searchParams.get("id");
    const blocks = await sql`SELECT samples FROM series_block WHERE series_id = ${id} ORDER BY number`;
    const times = blocks.flatMap((b) => {
      const bytes = Buffer.from(b.samples, "base64");
      return Array.from({ length: bytes.length / 16 }, (_, i) => Math.round(bytes.readDoubleLE(i * 16) * rate));
    });
    // The instrument's samples are numbered by their time: what is missing is missing from their row.
    const missing = [];
    for (let i = 1; i < times.length; i++)
      if (times[i] !== times[i - 1] + 1) missing.push({ from: times[i - 1], n: times[i] - times[i - 1] - 1 });
    const lost = missing.filter((m) => m.from < before - 1 || m.from > before + 2 * rate);
    const firsts = times.filter((k, i) => k === i).length;
    say(`\n${times.length} samples arrived of ${times.at(-1) + 1} that the instrument sent`);
    say(`${missing.reduce((s, m) => s + m.n, 0)} while the page was loaded again, when nobody listened`);
    say(`${lost.reduce((s, m) => s + m.n, 0)} lost at any other time`);
    say(`of ${before} shown before it was loaded again ${Math.min(firsts, before)} are there`);
    say(`of ${all} shown before the end ${Math.min(all, times.length)} are there`);
    say(`the page's own thread waited ${longest.toFixed(0)} ms at most`);
    return lost.length === 0 && firsts >= before && times.length >= all && acknowledged.every((n) => n <= times.length);
  } finally {
    await browser.close();
  }
}
