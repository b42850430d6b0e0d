import { matchPart } from "@/core/matching/match";
import { valuesOf } from "@/core/matching/needs";
import type { Part } from "@/core/matching/part";
import { familyOf } from "@/core/matching/places";
import { fitWords } from "@/core/matching/said";
import { fail, issue, ok } from "@/core/result";
import { matchFor } from "@/server/services/match-part";
import { priceListOf } from "@/server/services/price-lists";
import { shelfIdOf } from "@/server/services/shelf";
import type { Completion } from "../../completion";

const NOTHING_SAID = { marking: "", typed: [], settled: [], schools: [] };

/** How many lie there is weighed where they are taken, with who took the last. */
const asIfEnough =
  (fitted: number) =>
  (part: Part): Part =>
    part.shelf ? { ...part, shelf: { ...part.shelf, count: Math.max(part.shelf.count, fitted) } } : part;

/** The server matches the part itself: one that does not fit, or of which it is not known yet, cannot be chosen. */
export const complete: Completion<"part-chosen"> = async (draft, { view, on, shopContext }) => {
  const { forPart, partId, asked } = draft;
  const said = asked ?? { family: familyOf(forPart), ...NOTHING_SAID };
  if (said.family !== familyOf(forPart))
    return fail(
      issue(
        "payload.asked.family",
        "match/other-family",
        `A ${said.family} is no ${familyOf(forPart)}.`,
        said.family,
      ),
    );
  const matched = await matchFor(said, view, { ...shopContext, db: on });
  if (!matched.ok)
    return fail(...matched.issues.map((one) => ({ ...one, path: `payload.asked.${one.path}` })));
  const { family, context, requirement, onShelf } = matched.value;
  const [conflict] = requirement.conflicts;
  if (conflict) {
    const label = family.attributes[conflict.attribute]?.label ?? conflict.attribute;
    return fail(
      issue(
        "payload.asked.settled",
        "match/conflict",
        `${label}: two sources say different things of the old part. Say which is right first.`,
      ),
    );
  }
  const fitted = family.fitted ?? 1;
  const part = [...onShelf.map(asIfEnough(fitted)), ...priceListOf(family).parts].find(
    ({ id }) => id === partId,
  );
  if (!part) return fail(issue("payload.partId", "unknown/part", `There is no part "${partId}".`, partId));
  const { fit, attributes } = matchPart(family, valuesOf(requirement), part, context);
  const notes = attributes.filter((one) => one.fit !== "fit").map((one) => fitWords(family, one));
  if (fit === "reject" || fit === "open") {
    const why = attributes.filter((one) => one.fit === fit).map((one) => fitWords(family, one));
    const told = fit === "open" ? "cannot be told to fit yet" : "does not fit";
    return fail(
      issue(
        "payload.partId",
        `match/${fit === "open" ? "open" : "does-not-fit"}`,
        `${part.label} ${told}. ${why.join(" ")}`,
        partId,
      ),
    );
  }
  const { label, days, shelf } = part;
  // The repair that renews it renews as many as are fitted together.
  const priceMinor = part.priceMinor * fitted;
  const id = shelfIdOf(partId);
  const fromShelf = shelf && id !== undefined ? { id, count: fitted, place: shelf.place } : null;
  return ok({ payload: { forPart, partId, label, fit, notes, priceMinor, days, asked, fromShelf } });
};
