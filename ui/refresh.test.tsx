/** @jest-environment jsdom */
// A page is loaded again once the network is there to load it.
import { act, renderHook } from "@testing-library/react";
import { useRefresh } from "./refresh";

const mockRefresh = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh: mockRefresh }) }));
const line = (on: boolean) => jest.spyOn(navigator, "onLine", "get").mockReturnValue(on);

test("at once with a network; without one when it is back, and once only", () => {
  const { result } = renderHook(() => useRefresh());
  line(true);
  result.current();
  expect(mockRefresh).toHaveBeenCalledTimes(1);
  line(false);
  result.current();
  result.current();
  expect(mockRefresh).toHaveBeenCalledTimes(1);
  line(true);
  act(() => void window.dispatchEvent(new Event("online")));
  act(() => void window.dispatchEvent(new Event("online")));
  expect(mockRefresh).toHaveBeenCalledTimes(2);
});
