export const kinds = {
  interview: "Interview",
  observation: "Observation",
  product: "Existing product",
  answer: "Client's answer",
} as const;
