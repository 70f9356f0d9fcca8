"use server";
import { action } from "@/platform/command/perform";
import { answerExercise } from "./commands/trainer";
import { attachUse, changeUse } from "./commands/uses";
import { withdrawUse } from "./withdrawals";

export const attachUseAction = action(attachUse);

export const changeUseAction = action(changeUse);

export const withdrawUseAction = action(withdrawUse);

export const answerExerciseAction = action(answerExercise);
