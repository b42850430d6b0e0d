import { NOTHING_SAID } from "@/core/matching/asked.input";
import type { Combination } from "@/core/matching/combine";
import type { Family } from "@/core/matching/family";
import { type AttributeFit, worstOf } from "@/core/matching/judge";
import { matchPart } from "@/core/matching/match";
import { valuesOf } from "@/core/matching/needs";
import type { Part } from "@/core/matching/part";
import type { PartMatch } from "@/core/matching/part-match";
import { familyOf } from "@/core/matching/places";
import { withNotes } from "@/core/matching/reserves";
import { fitWords } from "@/core/matching/said";
import { shelfIdOf } from "@/core/matching/shelved";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Completion } from "../../completion";
import type { Drafts, Payloads } from "../../schemas";

type Chosen = Pick<
  Payloads["part-chosen"],
  "label" | "fit" | "notes" | "ownerNotes" | "priceMinor" | "days" | "fromShelf"
>;

/** How many lie there is weighed where they are taken, with who took the last. */
const asIfEnough =
  (fitted: number) =>
  (part: Part): Part =>
    part.shelf ? { ...part, shelf: { ...part.shelf, count: Math.max(part.shelf.count, fitted) } } : part;

/** What of some parts lies on the shelf: as many of each as are fitted. */
function fromShelf(parts: readonly Part[], fitted: number): Chosen["fromShelf"] {
  const ids = [...new Set(parts.map(({ id }) => id))];
  return ids.flatMap((partId) => {
    const same = parts.filter(({ id }) => id === partId);
    const [id, shelf] = [shelfIdOf(partId), same[0]?.shelf];
    return id !== undefined && shelf ? [{ id, count: fitted * same.length, place: shelf.place }] : [];
  });
}

/** Whether the owner has to know it: it changes how the machine behaves in their hands. */
const isForOwner = ({ tellsOwner = [] }: Family, { reason }: AttributeFit): boolean =>
  reason.code === "instead" && tellsOwner.includes(reason.note ?? "");

/** One part, matched anew. */
function single({ family, context, requirement, notes: said }: PartMatch, part: Part): Result<Chosen> {
  const { fit: alone, attributes } = matchPart(family, valuesOf(requirement), part, context);
  const fit = withNotes(alone, said);
  if (fit === "reject" || fit === "open") {
    const why = attributes.filter((one) => one.fit === fit).map((one) => fitWords(family, one));
    const told = fit === "open" ? "cannot be told to fit yet" : "does not fit";
    return fail(
      issue(
        "payload.partId",
        `match/${fit === "open" ? "open" : "does-not-fit"}`,
        `${part.label} ${told}. ${why.join(" ")}`,
        part.id,
      ),
    );
  }
  const fitted = family.fitted ?? 1;
  const odd = attributes.filter((one) => one.fit !== "fit");
  const notes = [...said, ...odd.map((one) => fitWords(family, one))];
  const ownerNotes = odd.filter((one) => isForOwner(family, one)).map((one) => fitWords(family, one));
  const { label, days } = part;
  // The repair that renews it renews as many as are fitted together.
  const priceMinor = part.priceMinor * fitted;
  return ok({ label, fit, notes, ownerNotes, priceMinor, days, fromShelf: fromShelf([part], fitted) });
}

/** Several parts in the place of one: never better than with a note. */
function together({ family, notes }: PartMatch, { parts, said, fit, priceMinor, days }: Combination): Chosen {
  const fitted = family.fitted ?? 1;
  return {
    label: parts.map(({ label }) => label).join(" with "),
    fit: worstOf([fit, "note"]) === "temporary" ? "temporary" : "note",
    notes: [...notes, said],
    ownerNotes: [],
    priceMinor: priceMinor * fitted,
    days,
    fromShelf: fromShelf(parts, fitted),
  };
}

async function chosenOf(matched: PartMatch, partId: string): Promise<Result<Chosen>> {
  const { family, onShelf } = matched;
  const here = onShelf.map(asIfEnough(family.fitted ?? 1));
  const part = [...here, ...matched.listed()].find(({ id }) => id === partId);
  if (part) return single(matched, part);
  const combination = (await matched.combinations()).find(({ id }) => id === partId);
  if (combination) return ok(together(matched, combination));
  return fail(issue("payload.partId", "unknown/part", `There is no part "${partId}".`, partId));
}

/** What was asked of the part: of another family than its place is for it says nothing. */
function askedOf({ forPart, asked }: Drafts["part-chosen"]) {
  const said = asked ?? { family: familyOf(forPart), ...NOTHING_SAID };
  if (said.family === familyOf(forPart)) return ok(said);
  return fail(
    issue(
      "payload.asked.family",
      "match/other-family",
      `A ${said.family} is no ${familyOf(forPart)}.`,
      said.family,
    ),
  );
}

/** The server matches the part itself: one that does not fit, or of which it is not known yet, cannot be chosen. */
export const complete: Completion<"part-chosen"> = async (draft, { view, services }) => {
  const said = askedOf(draft);
  if (!said.ok) return said;
  const matched = await services.match(said.value, view);
  if (!matched.ok)
    return fail(...matched.issues.map((one) => ({ ...one, path: `payload.asked.${one.path}` })));
  const { family, requirement } = matched.value;
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
  const { forPart, partId, asked } = draft;
  const chosen = await chosenOf(matched.value, partId);
  return chosen.ok ? ok({ payload: { forPart, partId, asked, ...chosen.value } }) : chosen;
};
