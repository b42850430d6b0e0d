import { lastOf, latestBy, ofKind } from "@/core/job/log/lines";
import { contradiction } from "../../contradiction";
import { askedAnew, type EnergyOf } from "../../energy-of";

/** A plate read after a part was chosen changes what is asked of it: the choice is weighed again. */
export const energy: EnergyOf<"nameplate"> = (payload, _, earlier) => {
  const chosen = latestBy(ofKind(earlier, "part-chosen"), ({ payload: { forPart } }) => forPart);
  const weighed = chosen
    .map(({ payload: { forPart } }) => forPart)
    .filter((forPart) => payload.plate === "motor" || forPart === payload.id)
    .map(askedAnew);
  const takenIn = lastOf(earlier, "taken-in")?.payload;
  const said = payload.plate === "motor" && takenIn ? [contradiction(takenIn, payload)] : [];
  return [...weighed, ...said];
};
