/** @jest-environment jsdom */
// The presenter's tablet: each press says what a board shows; awards go by their count.
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import "@/ui/testing/browser";
import type { BoardSetting } from "../../view/board-face";
import { Presenter } from "./presenter";

const router = { refresh: jest.fn(), push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
const show = jest.fn();
const reveal = jest.fn();
jest.mock("../../actions", () => ({
  showOnBoardAction: (...a: unknown[]) => show(...a),
  revealAwardAction: (...a: unknown[]) => reveal(...a),
  saveBoardAction: jest.fn(),
  withdrawBoardAction: jest.fn(),
}));
const hall: BoardSetting = {
  id: "b1",
  name: "Hall",
  shows: "event",
  eventId: "e2",
  revealed: 0,
  words: "",
  light: false,
  version: 1,
};
const tablet = (more: Partial<BoardSetting> = {}) =>
  render(
    <Presenter
      projectId="p1"
      board={{ ...hall, ...more }}
      events={[
        { id: "e1", name: "Timed lift" },
        { id: "e2", name: "Tank race" },
      ]}
      awards={2}
      href="/screen/x"
    />,
  );
const button = (name: string) => screen.getByRole("button", { name });
beforeEach(() => {
  jest.clearAllMocks();
  for (const f of [show, reveal]) f.mockResolvedValue({ ok: true, value: null });
});

test("what is shown is marked; a press shows something else", async () => {
  tablet();
  expect(button("Tank race").getAttribute("aria-pressed")).toBe("true");
  expect(button("Tank race: who is on").getAttribute("aria-pressed")).toBe("false");
  fireEvent.click(button("Timed lift: who is on"));
  await waitFor(() => expect(show).toHaveBeenCalled());
  expect(show.mock.calls[0]![0]).toEqual({ id: "b1", shows: "order", eventId: "e1", words: "" });
});

test("a pause takes its words along", async () => {
  tablet({ words: "Lunch" });
  fireEvent.change(screen.getByLabelText("What the pause says"), { target: { value: "At 14:10" } });
  fireEvent.click(button("Pause"));
  await waitFor(() => expect(show).toHaveBeenCalled());
  expect(show.mock.calls[0]![0]).toEqual({ id: "b1", shows: "pause", words: "At 14:10" });
});

test("awards: the first, the next, one back; none is left when all are revealed", async () => {
  const { unmount } = tablet();
  fireEvent.click(button("Reveal the first award"));
  await waitFor(() => expect(reveal).toHaveBeenCalled());
  expect(reveal.mock.calls[0]![0]).toEqual({ id: "b1", count: 1 });
  expect(screen.queryByRole("button", { name: "one back" })).toBeNull();
  unmount();
  tablet({ shows: "awards", revealed: 2 });
  expect((button("All awards are revealed") as HTMLButtonElement).disabled).toBe(true);
  fireEvent.click(button("one back"));
  await waitFor(() => expect(reveal).toHaveBeenCalledTimes(2));
  expect(reveal.mock.calls[1]![0]).toEqual({ id: "b1", count: 1 });
});

test("what the server says stands there", async () => {
  show.mockResolvedValue({ ok: false, kind: "refused", message: "Choose the event." });
  tablet();
  fireEvent.click(button("Overall"));
  await waitFor(() => expect(screen.getByRole("alert").textContent).toBe("Choose the event."));
});
