import "server-only";
import { calculators } from "@/core/handbook/calculators";
import { plainLetters } from "@/core/text/plain";
import type { Stage } from "@/platform/registry/stage";
import * as trainer from "./commands/trainer";
import * as uses from "./commands/uses";
import { handbookHref } from "./view/handbook";
import * as withdrawals from "./withdrawals";

export const handbook: Stage = {
  key: "handbook",
  name: "Handbook",
  pages: [
    { label: "Handbook", path: "/handbook" },
    { label: "Trainer", path: "/handbook/trainer" },
  ],
  shows: ["handbook"],
  commands: [uses, trainer, withdrawals],
  below: "everyone",
  async search({ like }) {
    const words = plainLetters(like.replaceAll("%", ""));
    return calculators
      .filter((c) => plainLetters(`${c.name} ${c.use}`).includes(words))
      .map((c) => ({ kind: "calculator", label: c.name, detail: c.use, path: handbookHref("", c.id) }));
  },
};
