// Who reads a team's story: the team and instructors always, the class once it is shown, whether in a team or not.
import { db } from "@/platform/db/db";
import { openSession } from "@/platform/sign-in/sessions";
import { ok } from "@/stages/testing/database";
import { settle } from "@/stages/testing/render";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { StoryScreen } from "../screens/story";
import { shareStory } from "./story";

let mockSecret = "";
jest.mock("next/headers", () => ({
  cookies: async () => ({ get: () => ({ value: mockSecret }) }),
  headers: async () => new Map(),
}));
jest.mock("react", () => ({ ...jest.requireActual("react"), cache: (f: unknown) => f }));

let opened: Awaited<ReturnType<typeof openClass>>;
let w: World;
beforeAll(async () => {
  opened = await openClass();
  ({ w } = opened);
});
afterAll(() => opened.done());

const reads = async (person: string) => {
  mockSecret = (await openSession(person)).secret;
  return settle(<StoryScreen slug={w.slug} team={w.a} />).then(
    () => true,
    (error: Error) =>
      /NOT_FOUND|404/.test(`${error.message}${(error as { digest?: string }).digest}`) ? false : error,
  );
};

test("a story is its team's until it is shown; then the whole class reads it, who is in no team too", async () => {
  const [mate, ...others] = w.students;
  const [alone] = await db()<{ id: string }[]>`
    SELECT e.person_id AS id
    FROM enrolment e
    WHERE e.person_id IN ${db()(others)}
      AND NOT EXISTS (SELECT FROM membership m WHERE m.person_id = e.person_id AND m.to_on IS NULL)
  `;
  expect([await reads(mate!), await reads(alone!.id)]).toEqual([true, false]);
  await ok(shareStory, opened.boss, { id: w.story, version: 1, shared: true });
  expect([await reads(mate!), await reads(alone!.id)]).toEqual([true, true]);
});
