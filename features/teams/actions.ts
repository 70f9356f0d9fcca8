"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as teams from "@/data/teams";

export async function createTeamAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.createTeam.run>>>> {
  return perform(teams.createTeam, input, envelope);
}
export async function renameTeamAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.renameTeam.run>>>> {
  return perform(teams.renameTeam, input, envelope);
}
export async function retireTeamAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.retireTeam.run>>>> {
  return perform(teams.retireTeam, input, envelope);
}
export async function moveStudentAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.moveStudent.run>>>> {
  return perform(teams.moveStudent, input, envelope);
}
export async function drawTeamsAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof teams.drawTeams.run>>>> {
  return perform(teams.drawTeams, input, envelope);
}
