"use server";

import { action } from "@/platform/command/perform";
import { saveSettings } from "@/platform/project/save-settings";
import { askBooking, editBooking, endBooking, placeBooking, planQueue, startBooking } from "./commands/bookings";
import { editCutList, keepCutList } from "./commands/cuts";
import { countKit, handOutKit, saveKit } from "./commands/kits";
import { editSetting, recordSetting } from "./commands/machine-settings";
import { checkMachine, closeIncident, editIncident, reportIncident } from "./commands/safety";
import { addStockItem, editStockItem, gotParts, moveStock } from "./commands/stock";
import { saveTool, signTool } from "./commands/tools";
import {
  withdrawBooking,
  withdrawCheck,
  withdrawCutList,
  withdrawIncident,
  withdrawKit,
  withdrawKitOut,
  withdrawSetting,
  withdrawStockItem,
  withdrawStockMove,
  withdrawTool,
} from "./withdrawals";
export const askBookingAction = action(askBooking);
export const editBookingAction = action(editBooking);
export const endBookingAction = action(endBooking);
export const placeBookingAction = action(placeBooking);
export const planQueueAction = action(planQueue);
export const startBookingAction = action(startBooking);
export const editCutListAction = action(editCutList);
export const keepCutListAction = action(keepCutList);
export const countKitAction = action(countKit);
export const handOutKitAction = action(handOutKit);
export const saveKitAction = action(saveKit);
export const editSettingAction = action(editSetting);
export const recordSettingAction = action(recordSetting);
export const checkMachineAction = action(checkMachine);
export const closeIncidentAction = action(closeIncident);
export const editIncidentAction = action(editIncident);
export const reportIncidentAction = action(reportIncident);
export const addStockItemAction = action(addStockItem);
export const editStockItemAction = action(editStockItem);
export const gotPartsAction = action(gotParts);
export const moveStockAction = action(moveStock);
export const saveToolAction = action(saveTool);
export const signToolAction = action(signTool);
export const withdrawBookingAction = action(withdrawBooking);
export const withdrawCheckAction = action(withdrawCheck);
export const withdrawCutListAction = action(withdrawCutList);
export const withdrawIncidentAction = action(withdrawIncident);
export const withdrawKitAction = action(withdrawKit);
export const withdrawKitOutAction = action(withdrawKitOut);
export const withdrawSettingAction = action(withdrawSetting);
export const withdrawStockItemAction = action(withdrawStockItem);
export const withdrawStockMoveAction = action(withdrawStockMove);
export const withdrawToolAction = action(withdrawTool);

export const saveSettingsAction = action(saveSettings);
