import "server-only";
import { calculators } from "@/core/handbook/calculators";
import { plainLetters } from "@/core/text/plain";
import type { Stage } from "@/platform/registry/stage";
import * as commands from "./commands";
import { handbookHref } from "./view/handbook";
import * as withdrawals from "./withdrawals";

export const handbook: Stage = {
  key: "handbook",
  name: "Handbook",
  pages: [{ label: "Handbook", path: "/handbook" }],
  shows: ["handbook"],
  commands: [commands, withdrawals],
  below: "everyone",
  async search({ like }) {
    const words = plainLetters(like.replaceAll("%", ""));
    return calculators
      .filter((c) => plainLetters(`${c.name} ${c.use}`).includes(words))
      .map((c) => ({ kind: "calculator", label: c.name, detail: c.use, path: handbookHref("", c.id) }));
  },
};
