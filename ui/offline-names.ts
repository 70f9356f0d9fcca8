/** Where a browser keeps guests' pages, and what they are made of. */
export const keptPages = "ironstone-guest";
export const keptHandbook = "ironstone-handbook";
export const keptParts = "ironstone-static";
