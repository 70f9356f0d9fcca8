/** @jest-environment jsdom */
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { markPieceAction, releasePieceAction } from "../actions";
import { PieceSteps } from "./piece-steps";

const router = { refresh: jest.fn(), push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("../actions", () => ({ markPieceAction: jest.fn(), releasePieceAction: jest.fn() }));
const mark = markPieceAction as unknown as jest.Mock;
const release = releasePieceAction as unknown as jest.Mock;
beforeEach(() => jest.clearAllMocks());
afterEach(cleanup);

const show = (more: object = {}) =>
  render(
    <PieceSteps
      id="p"
      name="Plate"
      steps={["drawn", "checked", "released", "cut"]}
      done={{ drawn: "Ana, 1 March" }}
      missing={["It is not released yet."]}
      mine
      staff={false}
      {...more}
    />,
  );

test("a tick goes to its step, and what the server will not take is said", async () => {
  mark.mockResolvedValue({ ok: false, kind: "refused", message: "It is not released yet." });
  show();
  expect(screen.getByText("Before it is cut: It is not released yet.")).toBeTruthy();
  const drawn = screen.getByRole("checkbox", { name: "Plate: drawn, Ana, 1 March" });
  expect(drawn.getAttribute("aria-checked")).toBe("true");
  await userEvent.click(screen.getByRole("checkbox", { name: "Plate: cut" }));
  expect(mark.mock.calls[0]![0]).toEqual({ id: "p", step: "cut", on: true });
  expect((await screen.findByText("It is not released yet.")).getAttribute("role")).toBe("status");
  mark.mockResolvedValue({ ok: true, value: undefined });
  await userEvent.click(drawn);
  expect(mark.mock.calls[1]![0]).toEqual({ id: "p", step: "drawn", on: false });
});

test("a release is the instructor's; who is not of the team ticks nothing", async () => {
  release.mockResolvedValue({ ok: true, value: undefined });
  const { rerender } = show();
  const released = () => screen.getByRole<HTMLButtonElement>("checkbox", { name: "Plate: released" });
  expect(released().disabled).toBe(true);
  rerender(<PieceSteps id="p" name="Plate" steps={["drawn", "released"]} done={{}} missing={[]} mine staff />);
  await userEvent.click(released());
  expect(release.mock.calls[0]![0]).toEqual({ id: "p", on: true });
  cleanup();
  show({ mine: false });
  expect(screen.getAllByRole<HTMLButtonElement>("checkbox").every((b) => b.disabled)).toBe(true);
});
