/** @jest-environment jsdom */
// N in a list of entries: to the first unread one, then read and on to the next; not while somebody types.
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "@/ui/testing/browser";
import { ReadKeys } from "./read-keys";

const read = jest.fn();
const entry = (name: string) => (
  <article key={name} data-unread="" tabIndex={-1} aria-label={name}>
    <span data-read="">
      <button type="button" onClick={() => read(name)}>
        read
      </button>
    </span>
  </article>
);

test("one key reads and goes on; it is a letter where somebody types", async () => {
  render(
    <>
      <ReadKeys />
      <input aria-label="Filter" />
      {["one", "two"].map(entry)}
    </>,
  );
  await userEvent.keyboard("n");
  expect([document.activeElement, read.mock.calls]).toEqual([screen.getByLabelText("one"), []]);
  await userEvent.keyboard("n");
  expect([document.activeElement, read.mock.calls]).toEqual([screen.getByLabelText("two"), [["one"]]]);
  await userEvent.type(screen.getByLabelText("Filter"), "nn");
  expect([(screen.getByLabelText("Filter") as HTMLInputElement).value, read.mock.calls.length]).toEqual(["nn", 1]);
  await userEvent.keyboard("{Control>}n{/Control}");
  expect(read).toHaveBeenCalledTimes(1);
  screen.getByLabelText("two").focus();
  await userEvent.keyboard("N");
  expect(read.mock.calls).toEqual([["one"], ["two"]]);
});
