import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { briefActs } from "./acts";

export const withdrawChallenge = withdrawal({
  name: "withdrawChallenge",
  kind: "challenge",
  table: "challenge",
  act: briefActs.edit,
  label: "x.title",
  needsReason: true,
});

export const removeChallengeResult = withdrawal({
  name: "removeChallengeResult",
  kind: "challenge result",
  table: "challenge_result",
  act: briefActs.edit,
  label: "x.who || ': ' || x.entered",
});
