/** @jest-environment jsdom */
// The check before the first run: nothing begins before every caution is ticked.
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { checkSafetyAction } from "../actions";
import type { SafetyCheck as Kept } from "../queries/runs";
import { checkFor, mayBegin } from "../view/safety";
import { SafetyCheck } from "./safety-check";

const router = { refresh: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("../actions", () => ({ checkSafetyAction: jest.fn(), withdrawSafetyCheckAction: jest.fn() }));
const check = checkSafetyAction as unknown as jest.Mock;
const cautions = ["Eyes protected.", "Hands off the lever."];
const open = (teamId?: string) =>
  render(<SafetyCheck projectId="p" protocolId="q" teamId={teamId} who="Alder" cautions={cautions} />);
const begin = () => screen.getByRole("button", { name: "All of it is so: begin" }) as HTMLButtonElement;
const tick = (name: string) => userEvent.click(screen.getByRole("checkbox", { name }));

test("begins when all is ticked, and says what to do where one is not so", async () => {
  check.mockResolvedValue({ ok: true, value: undefined });
  open("a");
  expect(screen.getByRole("status").textContent).toContain("2 to tick. If one is not so, stop and ask");
  await tick("Eyes protected.");
  expect(begin().disabled).toBe(true);
  await tick("Hands off the lever.");
  await tick("Eyes protected.");
  expect(begin().disabled).toBe(true);
  await tick("Eyes protected.");
  await userEvent.click(begin());
  expect(check.mock.calls[0]![0]).toEqual({ projectId: "p", protocolId: "q", teamId: "a", cautions });
  await waitFor(() => expect(router.refresh).toHaveBeenCalled());
});

test("what the server would not take is said beside the button", async () => {
  check.mockResolvedValue({ ok: false, kind: "refused", message: "They were changed." });
  open();
  for (const c of cautions) await tick(c);
  await userEvent.click(begin());
  expect(await screen.findByText("They were changed.")).toBeTruthy();
});

test("a check holds for its team, and for the cautions that it names", () => {
  const kept = [{ id: "1", teamId: "a", cautions, by: "Ines", at: "" }] as unknown as Kept[];
  expect(checkFor(kept, "a", ["Eyes protected."])?.id).toBe("1");
  expect([mayBegin(kept, "a", cautions), mayBegin(kept, "b", cautions), mayBegin(kept, "b", [])]).toEqual([
    true,
    false,
    true,
  ]);
  expect(mayBegin(kept, "a", [...cautions, "Gloves."])).toBe(false);
});
