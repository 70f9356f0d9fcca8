/** Choices that stand in more than one form. */
export const weekdays = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"].map((label, i) => ({ value: String(i + 1), label }));
export const projectKinds = [{ value: "client", label: "for a client" }, { value: "contest", label: "for a contest" }, { value: "both", label: "for a client, with a contest" }];
