import type { Entry } from "@/core/job/log/entry";
import { lastOf, latestBy, ofKind } from "@/core/job/log/lines";
import type { LineEvent } from "@/core/safety/energy-event";
import { PROOFS } from "@/core/safety/proof";
import { remediesOf } from "../../carried.input";
import { contradiction } from "../../contradiction";
import { askedAnew, type EnergyOf } from "../../energy-of";

/** Places whose part depends on the class. */
const BY_CLASS: readonly string[] = ["cord", "plug"];

const ALL_ANEW: LineEvent = { event: "worked", spoils: PROOFS, on: "machine", mends: [], stations: [] };

function plateIn(earlier: readonly Entry[]) {
  const plate = ofKind(earlier, "nameplate").findLast(({ payload }) => payload.plate === "motor")?.payload;
  return plate?.plate === "motor" ? plate : undefined;
}

/**
 * Class, connection or heater said anew asks the tests again: their limits were those of another machine. What stood open
 * on an earlier visit of the same machine came in with it.
 */
export const energy: EnergyOf<"taken-in"> = (payload, _, earlier) => {
  const before = lastOf(earlier, "taken-in")?.payload;
  const isOther =
    before !== undefined &&
    (before.protectionClass !== payload.protectionClass ||
      before.connection !== payload.connection ||
      before.heater !== payload.heater);
  const hasOtherHazards =
    before !== undefined &&
    (before.machine !== payload.machine || payload.hazards.some((id) => !before.hazards.includes(id)));
  // An earth more or less is another cord and plug: what was chosen for them is weighed again.
  const isOtherClass = before !== undefined && before.protectionClass !== payload.protectionClass;
  const weighed = isOtherClass
    ? latestBy(ofKind(earlier, "part-chosen"), ({ payload: { forPart } }) => forPart)
        .map(({ payload: { forPart } }) => forPart)
        .filter((forPart) => BY_CLASS.includes(forPart))
        .map(askedAnew)
    : [];
  const carried: readonly LineEvent[] =
    before === undefined
      ? payload.carried.map((one) => {
          const { kind, place, test, isMended, afterMinutes } = one;
          return { event: "danger", kind, place, test, remedies: remediesOf(one), isMended, afterMinutes };
        })
      : [];
  return [
    ...(isOther ? [ALL_ANEW] : []),
    ...(hasOtherHazards ? [{ event: "seen-to-anew" } as const] : []),
    ...weighed,
    ...carried,
    contradiction(payload, plateIn(earlier)),
  ];
};
