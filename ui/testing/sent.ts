// Server actions and the router of a part under test: what was sent, by which action, and where it led.
//   jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);
//   jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);

/** What the actions were sent since the last `forget`, the oldest first. */
export const sent: { readonly action: string; readonly input: unknown }[] = [];
/** What was sent last. */
export const last = () => sent.at(-1)!;
/** Where the router was told to go. */
export const went: string[] = [];
const answers = new Map<string, unknown[]>();

/** Begins anew: nothing was sent, and every action says that it is done. */
export function forget(): void {
  sent.length = 0;
  went.length = 0;
  answers.clear();
}

/** What an action answers the next time, instead of that it is done. */
export const answer = (action: string, result: unknown): void => {
  answers.set(action, [...(answers.get(action) ?? []), result]);
};

/** Any action by its name. */
export const actions = new Proxy(
  {},
  {
    get: (_, name) =>
      name === "__esModule"
        ? true
        : (input: unknown) => {
            sent.push({ action: String(name), input });
            const told = answers.get(String(name));
            return Promise.resolve(told?.length ? told.shift() : { ok: true, value: { id: "new" } });
          },
  },
);

const router = { refresh: () => {}, push: (to: string) => went.push(to), replace: (to: string) => went.push(to) };
export const navigation = {
  useRouter: () => router,
  usePathname: () => "/p/pump",
  useSearchParams: () => new URLSearchParams(),
};
