import { randomUUID } from "node:crypto";
import { db } from "@/platform/db/db";
import { bringBack } from "@/stages/records/commands/withdrawn";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { ballotOf, openBallot, votedFor } from "../queries/awards";
import { placedContestOf } from "../queries/contest";
import { awardsOf } from "../view/awards";
import { withdrawBallot } from "../withdrawals";
import { castVote, closeVote, openVote } from "./vote";

const here = worldEach("Vote");
const teams = async () => (await openBallot(here.w.code))!.teams;
const favourite = async () =>
  awardsOf(await placedContestOf(here.w.projectId, true)).find((a) => a.kind === "favourite");

describe("the favourite of the crowd", () => {
  test("is voted on while the vote is open, one a device, which may change its mind", async () => {
    const [alder, bramble] = await teams();
    expect([alder!.name, bramble!.name]).toEqual(["Alder", "Bramble"]);
    expect(await castVote(here.w.code, alder!.id, "one")).toBe("Alder");
    await castVote(here.w.code, alder!.id, "two");
    expect(await castVote(here.w.code, bramble!.id, "one")).toBe("Bramble");
    await Promise.all([1, 2, 3].map(() => castVote(here.w.code, bramble!.id, "three")));
    expect(await votedFor(here.w.code, "one")).toBe(bramble!.id);
    expect(await votedFor(here.w.code, "four")).toBeNull();
    expect(await ballotOf(here.w.projectId)).toMatchObject({ open: true, votes: 3 });
    // Who is a member of which class or what phone it was is nowhere.
    const [row] = await db()`SELECT * FROM vote WHERE device = 'one'`;
    expect(Object.keys(row!).sort()).toEqual(["ballotId", "castAt", "device", "teamId"]);
    expect(await favourite()).toBeUndefined();
    await ok(closeVote, here.boss, { id: here.w.ballot, version: 1 });
    expect(await favourite()).toMatchObject({ teams: ["Bramble"], says: "2 of 3 votes" });
  });

  test("is not voted on when the vote is closed, elsewhere, or for a team of another project", async () => {
    const [alder] = await teams();
    expect(await castVote("NOSUCH", alder!.id, "one")).toBeNull();
    expect(await castVote(here.w.code, randomUUID(), "one")).toBeNull();
    await ok(closeVote, here.boss, { id: here.w.ballot, version: 1 });
    await refused(closeVote, here.boss, { id: here.w.ballot, version: 2 }, /closed already/);
    expect(await castVote(here.w.code, alder!.id, "one")).toBeNull();
    expect(await openBallot(here.w.code)).toBeNull();
    // Opened again it has the same address, and what was voted still counts.
    const { code } = await ok(openVote, here.boss, { projectId: here.w.projectId });
    expect(code).toBe(here.w.code);
    expect(await castVote(code, alder!.id, "one")).toBe("Alder");
  });

  test("is taken out and brought back with its votes", async () => {
    const [alder] = await teams();
    await castVote(here.w.code, alder!.id, "one");
    const { withdrawn } = await ok(withdrawBallot, here.boss, { id: here.w.ballot });
    expect(await ballotOf(here.w.projectId)).toBeNull();
    await ok(bringBack, here.boss, { id: withdrawn });
    expect(await ballotOf(here.w.projectId)).toMatchObject({ votes: 1 });
  });
});
