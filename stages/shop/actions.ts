"use server";
import { action } from "@/platform/command/perform";
import { saveTool, signTool } from "./commands";

export const saveToolAction = action(saveTool);

export const signToolAction = action(signTool);
