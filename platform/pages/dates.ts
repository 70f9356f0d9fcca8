import "server-only";
import { cache } from "react";
import { type DateWords, datesIn } from "@/core/text/dates";
import type { DateStyle } from "@/core/vocabulary/project";

/** How the page that is being made writes its dates: kept a request, day first until its project is known. */
const page = cache((): { style: DateStyle } => ({ style: "day" }));
const words = (): DateWords => datesIn(page().style);

/** From here on the page writes its dates like this project. */
export const writeDatesAs = (style: DateStyle | null | undefined): void => {
  page().style = style ?? "day";
};

/** A date with its weekday, as the page's project writes it. */
export const longDate = (iso: string): string => words().longDate(iso);
/** A date without its year, for tables. */
export const shortDate = (iso: string): string => words().shortDate(iso);
/** A date with its year. */
export const fullDate = (iso: string): string => words().fullDate(iso);
/** A date with the time. */
export const instant = (iso: string): string => words().instant(iso);
