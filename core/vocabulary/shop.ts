import { type Term, vocabulary } from "./vocabulary";

/** What came of a setting that was tried. */
export const settingOutcome = vocabulary({ worked: "", partly: "", failed: "" }, ["machine_setting.outcome"]);
export type SettingOutcome = Term<typeof settingOutcome>;
