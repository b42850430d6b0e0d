import type { Entry } from "@/core/job/log/entry";
import { bareDangers } from "./bare-danger-reader";
import { KEEPS, type Keeps } from "./bare-danger-tables";

const TRIP_KINDS: readonly string[] = ["trip", "residual-trip"];

/** What is kept back by open dangers now, each with its kind. */
export function keptBack(entries: readonly Entry[], what: Keeps): string[] {
  const open = bareDangers(entries).filter((one) => one.open);
  const isTwice = open.filter(({ kind }) => TRIP_KINDS.includes(kind)).length > 1;
  return open
    .filter(
      ({ kind }) =>
        KEEPS.get(kind)?.includes(what) === true ||
        (isTwice && TRIP_KINDS.includes(kind) && (what === "power" || what === "use")),
    )
    .map(({ kind }) => kind);
}

/** Open dangers that power would be against now; mended ones give way to the one test that closes them. */
export function againstPower(entries: readonly Entry[], use: string): string[] {
  const open = bareDangers(entries).filter((one) => one.open);
  const isTwice = open.filter(({ kind }) => TRIP_KINDS.includes(kind)).length > 1;
  return open
    .filter(
      ({ kind }) => KEEPS.get(kind)?.includes("power") === true || (isTwice && TRIP_KINDS.includes(kind)),
    )
    .filter(({ mended, test }) => {
      if (!mended) return true;
      if (test === "run") return use !== "guards-on";
      if (test === "leakage") return use !== "leakage" && use !== "guards-on";
      return true;
    })
    .map(({ kind }) => kind);
}
