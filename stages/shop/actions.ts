"use server";
import { action } from "@/platform/command/perform";
import { saveTool, signTool } from "./commands";
import { editSetting, recordSetting } from "./machine-settings";
import { withdrawSetting, withdrawTool } from "./withdrawals";

export const saveToolAction = action(saveTool);

export const signToolAction = action(signTool);

export const withdrawToolAction = action(withdrawTool);

export const recordSettingAction = action(recordSetting);

export const editSettingAction = action(editSetting);

export const withdrawSettingAction = action(withdrawSetting);
