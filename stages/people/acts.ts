import { acts, staff } from "@/core/access/can";

export const staffActs = acts("staff", {
  manage: { project: ["owner"] },
});

export const peopleActs = acts("people", {
  read: { project: staff },
  edit: { project: staff },
});

/** What a person may do with their own account. */
export const accountActs = acts("account", {
  own: { self: true },
});

export const guestActs = acts("guest", {
  manage: { project: staff },
});
