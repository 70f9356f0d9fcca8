"use server";
import { action } from "@/platform/command/perform";
import { attachUse, changeUse } from "./commands";
import { withdrawUse } from "./withdrawals";

export const attachUseAction = action(attachUse);

export const changeUseAction = action(changeUse);

export const withdrawUseAction = action(withdrawUse);
