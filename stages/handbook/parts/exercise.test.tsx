/** @jest-environment jsdom */
// An exercise: answered by a choice or by typing, told with its working, then the next.
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "@/ui/testing/browser";
import { makeWorking } from "@/core/working/working";
import { WorkingProvider } from "@/ui/working";
import { answerExerciseAction } from "../actions";
import type { Asked } from "../view/trainer";
import { ExerciseForm } from "./exercise";

const router = { refresh: () => {}, push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("../actions", () => ({ answerExerciseAction: jest.fn() }));
const sent = answerExerciseAction as unknown as jest.Mock;

const base: Asked = {
  kind: "limit",
  seed: "s",
  question: "What can be said?",
  given: ["It asks for ≤ 5 kg."],
  options: ["It is met", "It is not met"],
  typed: null,
  seen: "as shown",
};
const working = makeWorking({ title: "w", result: "met", rule: "The rule in words.", steps: ["4.9 to 5.1"] });
const show = (asked: Asked) =>
  render(
    <WorkingProvider>
      <ExerciseForm asked={asked} projectId="p" next="/next" />
    </WorkingProvider>,
  );

beforeEach(() => {
  sent.mockReset();
  router.push.mockReset();
});

test("a choice is sent with the exercise as it was shown; a wrong one is told with what is right and why", async () => {
  sent.mockResolvedValue({ ok: true, value: { right: false, answer: "It is met", working } });
  show(base);
  const answer = screen.getByRole<HTMLButtonElement>("button", { name: "Answer" });
  expect(answer.disabled).toBe(true);
  await userEvent.click(screen.getByRole("radio", { name: "It is not met" }));
  await userEvent.click(answer);
  await waitFor(() => expect(screen.getByRole("status").textContent).toContain("Not right."));
  expect(sent.mock.calls[0]![0]).toMatchObject({ kind: "limit", seed: "s", seen: "as shown", given: "1" });
  expect(screen.getByRole("status").textContent).toContain("Right is: It is met");
  expect(screen.getByText("4.9 to 5.1")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Next exercise" }));
  expect([router.push.mock.calls, sent.mock.calls.length]).toEqual([[["/next"]], 1]);
});

test("a typed answer that is none is told and stays to be mended", async () => {
  sent.mockResolvedValueOnce({ ok: false, kind: "refused", message: "Write a value and its ±." });
  sent.mockResolvedValueOnce({ ok: true, value: { right: true, answer: "8.6 ± 0.1", working } });
  show({ ...base, kind: "round", options: [], typed: { unit: "L", like: "8.62 ± 0.09" } });
  const field = screen.getByRole<HTMLInputElement>("textbox", { name: "What can be said?" });
  await userEvent.type(field, "8.6{Enter}");
  await waitFor(() => expect(screen.getByRole("status").textContent).toContain("Write a value and its ±."));
  expect(field.value).toBe("8.6");
  await userEvent.type(field, " ± 0.1{Enter}");
  await waitFor(() => expect(screen.getByRole("status").textContent).toContain("Right."));
  expect(field.disabled).toBe(true);
});
