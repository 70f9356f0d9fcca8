/** @jest-environment jsdom */
// Calls to every board: each is a call of its own, also from a page that stands all day.
import "@/ui/testing/browser";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { forget, sent } from "@/ui/testing/sent";
import { CallBox, CallButton } from "./call-box";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const projectId = "0190a0b0-0000-7000-8000-000000000000";
beforeEach(forget);
const calls = () => sent.map((s) => s.input as { id: string; words: string });

test("two calls in words of one's own are two; the field is empty for the next", async () => {
  const { rerender } = render(<CallBox projectId={projectId} now={null} />);
  const call = async (words: string) => {
    await userEvent.type(screen.getByLabelText("Another call"), `${words}{Enter}`);
    await waitFor(() => expect(screen.getByLabelText("Another call")).toHaveProperty("value", ""));
  };
  await call("Gully: your hose is at the desk");
  const now = { id: calls()[0]!.id, words: "Gully: your hose is at the desk", at: "10:02", by: "Mara" };
  rerender(<CallBox projectId={projectId} now={now} />);
  await call("Alder: please come");
  expect(calls().map((c) => c.words)).toEqual([now.words, "Alder: please come"]);
  expect(new Set(calls().map((c) => c.id)).size).toBe(2);
  await userEvent.click(screen.getByRole("button", { name: "They are here" }));
  expect(sent.at(-1)).toEqual({ action: "endCallAction", input: { id: now.id } });
});

test("the same team is called twice by two presses", async () => {
  render(<CallButton projectId={projectId} words="Alder: on deck" />);
  const button = screen.getByRole("button", { name: /call/ });
  await userEvent.click(button);
  await waitFor(() => expect(button).toHaveProperty("disabled", false));
  await userEvent.click(button);
  expect(calls().map((c) => c.words)).toEqual(["Alder: on deck", "Alder: on deck"]);
  expect(new Set(calls().map((c) => c.id)).size).toBe(2);
});
