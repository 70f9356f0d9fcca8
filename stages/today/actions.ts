"use server";
import { action } from "@/platform/command/perform";
import { putAside } from "./commands/aside";
import { beginClass, markAttendance, planClass, remarkOnClass, takeAttendance } from "./commands/classes";
import { withdrawAside } from "./withdrawals";

export const putAsideAction = action(putAside);

export const withdrawAsideAction = action(withdrawAside);

export const planClassAction = action(planClass);

export const remarkOnClassAction = action(remarkOnClass);

export const beginClassAction = action(beginClass);

export const takeAttendanceAction = action(takeAttendance);

export const markAttendanceAction = action(markAttendance);
