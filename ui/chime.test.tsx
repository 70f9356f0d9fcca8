/** @jest-environment jsdom */
// The sound of a clock: off until it is turned on, and heard when the moment is another.
import "@/ui/testing/browser";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { Chime } from "./chime";

const started: number[] = [];
const node = () => ({ connect: (to: unknown) => to });
class Audio {
  currentTime = 10;
  destination = {};
  resume = async () => {};
  close = async () => {};
  createOscillator = () => ({
    ...node(),
    frequency: { value: 0 },
    start: (at: number) => started.push(at),
    stop() {},
  });
  createGain = () => ({ ...node(), gain: { setValueAtTime() {}, exponentialRampToValueAtTime() {} } });
}
beforeEach(() => {
  started.length = 0;
  globalThis.AudioContext = Audio as never;
});

test("it is silent until it is turned on, sounds then as a trial, and at each new moment", async () => {
  const { rerender } = render(<Chime moment="1" label="Sound" />);
  rerender(<Chime moment="2" label="Sound" />);
  expect(started).toEqual([]);
  await userEvent.click(screen.getByRole("switch", { name: "Sound" }));
  expect(started).toEqual([10, 10.3]);
  rerender(<Chime moment="2" label="Sound" />);
  expect(started).toHaveLength(2);
  rerender(<Chime moment="3" label="Sound" />);
  expect(started).toHaveLength(4);
  rerender(<Chime moment="" label="Sound" />);
  expect(started).toHaveLength(4);
  await userEvent.click(screen.getByText("Sound"));
  rerender(<Chime moment="4" label="Sound" />);
  expect(started).toHaveLength(4);
});
