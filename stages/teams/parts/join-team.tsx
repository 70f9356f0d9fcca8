"use client";

import { ActButton } from "@/ui/form/act-button";
import { joinTeamAction } from "../actions";

export const JoinTeam = ({
  projectId,
  personId,
  teamId,
  full,
  mine,
}: {
  projectId: string;
  personId: string;
  teamId: string;
  full: boolean;
  mine: boolean;
}) =>
  mine ? (
    <ActButton action={joinTeamAction} input={{ projectId, personId }} look="quiet" confirm="You leave the team.">
      leave
    </ActButton>
  ) : full ? (
    <span className="text-sm text-soft">full</span>
  ) : (
    <ActButton action={joinTeamAction} input={{ projectId, personId, teamId }}>
      Join
    </ActButton>
  );
