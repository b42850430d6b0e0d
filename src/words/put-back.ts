import type { FollowUp, Picture, Removed, RemovedSort } from "@/core/job/log/entry";
import { formatDay } from "@/core/quantity/format";

export const PICTURE_OF: Readonly<Record<Picture["of"], string>> = {
  nameplate: "nameplate",
  outside: "outside",
  inside: "inside",
  wiring: "wiring",
  damage: "damage",
};

export const SORT_WORDS: Readonly<Record<RemovedSort, string>> = {
  cover: "Cover",
  fastener: "Screws",
  connector: "Connector",
  wire: "Wire",
  mark: "Mark on end bell",
  part: "Part",
  seal: "Seal",
  washer: "Washer",
};

/** What came off, in one phrase: count, name, drive, colour to terminal. */
export function offWords({ count, what, drive, colour, terminal }: Removed): string {
  const wire = [colour, terminal ? `to ${terminal}` : ""].filter((part) => part !== "").join(" ");
  return [`${count > 1 ? `${count} × ` : ""}${what}`, drive, wire].filter((part) => part !== "").join(", ");
}

/** When to come back to something: the day, and what must hold besides. */
export function whenWords(
  one: Pick<FollowUp, "onDay" | "belowCelsius" | "afterHours" | "condition">,
): string {
  return [
    one.onDay ? formatDay(one.onDay) : "",
    one.belowCelsius === null ? "" : `below ${one.belowCelsius} °C`,
    one.afterHours === null ? "" : `after ${one.afterHours} h`,
    one.condition,
  ]
    .filter((part) => part !== "")
    .join(", ");
}

export function promiseWords(one: FollowUp): string {
  const when = whenWords(one);
  const head = one.about === "temporary-part" ? "For a while only" : "Look again";
  return `${head}${when ? ` (${when})` : ""}: ${one.what}`;
}
