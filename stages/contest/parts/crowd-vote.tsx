"use client";

import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { Sheet } from "@/ui/page";
import { closeVoteAction, openVoteAction, withdrawBallotAction } from "../actions";
import { VoteAddress } from "./vote-address";

export interface Ballot {
  readonly id: string;
  readonly version: number;
  readonly code: string | null;
  readonly open: boolean;
  readonly votes: number;
}

/** The crowd's vote from the presenter's tablet: open it, show where, close it. */
export const CrowdVote = ({ projectId, ballot }: { projectId: string; ballot: Ballot | null }) => (
  <Sheet
    title="Favourite of the crowd"
    aside={ballot && `${ballot.votes} ${ballot.votes === 1 ? "vote" : "votes"}${ballot.open ? "" : ", closed"}`}
  >
    {ballot?.open && ballot.code ? (
      <>
        <VoteAddress code={ballot.code} className="w-40" />
        <p className="mt-2 text-sm text-soft">
          One vote a phone. For whom is told when the vote is closed and the award is revealed.
        </p>
      </>
    ) : (
      <p className="text-soft">
        {ballot
          ? "The vote is closed. It gives an award, unless the overall page leaves it out."
          : "Spectators vote on their phones, one vote a device. Nobody signs in, and nobody is asked who they are."}
      </p>
    )}
    <div className="mt-3 flex flex-wrap items-center gap-3">
      {ballot?.open ? (
        <ActButton action={closeVoteAction} input={{ id: ballot.id, version: ballot.version }} look="main">
          Close the vote
        </ActButton>
      ) : (
        <ActButton action={openVoteAction} input={{ projectId }} look="plain">
          {ballot ? "Open it again" : "Open the vote"}
        </ActButton>
      )}
      {ballot && !ballot.open && (
        <WithdrawButton
          action={withdrawBallotAction}
          id={ballot.id}
          says="The vote goes, with every vote that was cast in it."
        >
          Take the vote out
        </WithdrawButton>
      )}
    </div>
  </Sheet>
);
