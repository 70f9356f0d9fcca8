// The box of a contest's day for tests of what stands in it, with a network that the test answers for.
import { render } from "@testing-library/react";
import type { ReactElement } from "react";
import { DayBox } from "@/stages/contest/parts/day-box";
import { emptyBoxes } from "@/ui/testing/waiting";

/** What the server would say to an input; throw where there is no network. */
export const network = jest.fn<Promise<unknown>, [input: Record<string, unknown>, how: Record<string, unknown>]>();

globalThis.AbortSignal.timeout ??= () => new AbortController().signal;
globalThis.fetch = (async (_: string, { body }: { body: string }) => {
  const { input, ...how } = JSON.parse(body);
  const answer = await network(input, how);
  return { ok: true, json: async () => answer };
}) as never;

/** A browser that is used for the first time, and a server that takes everything with this value. */
export async function freshDay(value: unknown): Promise<void> {
  await emptyBoxes();
  localStorage.clear();
  jest.clearAllMocks();
  network.mockReset().mockResolvedValue({ ok: true, value });
}

/** Renders what is written from within the day's box of a guest's page. */
export const inDay = (what: ReactElement) =>
  render(what, { wrapper: ({ children }) => <DayBox via="guest">{children}</DayBox> });
