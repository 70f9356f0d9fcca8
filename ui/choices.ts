/** Choices that stand in more than one form. */
export const weekdays = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"].map((label, i) => ({
  value: String(i + 1),
  label,
}));
export const projectKinds = [
  { value: "client", label: "for a client" },
  { value: "contest", label: "for a contest" },
  { value: "both", label: "for a client, with a contest" },
];
/** The schools of the front half, each with its default first. */
export const conceptSchools = [
  { value: "client", label: "the client picks, with reasons" },
  { value: "panel", label: "a panel scores" },
  { value: "vote", label: "the class votes" },
  { value: "weighted", label: "weighted matrix" },
  { value: "datum", label: "datum matrix: better, same or worse" },
];
export const teamSchools = [
  { value: "idea", label: "after selection, by adopted idea" },
  { value: "draw", label: "before, by draw" },
  { value: "self", label: "self-chosen within limits" },
  { value: "assigned", label: "assigned" },
  { value: "solver", label: "by the solver, from wishes and limits" },
];
export const gateStrictnesses = [
  { value: "warn", label: "warn, with the list of what is missing" },
  { value: "block", label: "block until signed" },
  { value: "none", label: "none: tinkering first" },
];
export const shareSchools = [
  { value: "number", label: "every member designs an equal number of the parts" },
  { value: "role", label: "shares by role" },
  { value: "none", label: "not checked" },
];
