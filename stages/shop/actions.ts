"use server";
import { action } from "@/platform/command/perform";
import { saveTool, signTool } from "./commands";
import { withdrawTool } from "./withdrawals";

export const saveToolAction = action(saveTool);

export const signToolAction = action(signTool);

export const withdrawToolAction = action(withdrawTool);
