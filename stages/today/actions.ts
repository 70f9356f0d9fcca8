"use server";
import { action } from "@/platform/command/perform";
import { putAside } from "./commands";
import { withdrawAside } from "./withdrawals";

export const putAsideAction = action(putAside);

export const withdrawAsideAction = action(withdrawAside);
