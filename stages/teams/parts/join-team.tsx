"use client";

import { ActButton } from "@/ui/form/act-button";
import { joinTeamAction } from "../actions";
import type { Joining } from "../view/choosing";

/** What a student who chooses the own team can do about one: join it, leave it, or read why not. */
export function JoinTeam({
  projectId,
  personId,
  teamId,
  joining,
}: {
  projectId: string;
  personId: string;
  teamId: string;
  joining: Joining;
}) {
  switch (joining) {
    case "mine":
      return (
        <ActButton action={joinTeamAction} input={{ projectId, personId }} look="quiet" confirm="You leave the team.">
          leave
        </ActButton>
      );
    case "open":
      return (
        <ActButton action={joinTeamAction} input={{ projectId, personId, teamId }}>
          Join
        </ActButton>
      );
    case "full":
      return <span className="text-sm text-soft">full</span>;
    case "ask":
      return <span className="text-sm text-soft">ask your instructor</span>;
    case "other section":
      return null;
  }
}
