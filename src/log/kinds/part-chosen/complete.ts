import { hadResistor } from "@/core/job/old-part";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { rankCapacitors } from "@/core/matching/rank";
import { capacitorRequirement } from "@/core/matching/requirement";
import { supplyOf } from "@/core/nameplate/supply";
import { fail, issue, ok } from "@/core/result";
import { fitReasonWords } from "@/islands/words/match";
import type { Completion } from "../../completion";

/** The server ranks the part itself: one that does not fit cannot be chosen, whatever the screen said. */
export const complete: Completion<"part-chosen"> = (draft, { view, shopContext }) => {
  const { forPart, partId } = draft;
  const part = shopContext.knowledge.capacitors.find(({ id }) => id === partId);
  const marked = view.capacitors.find(({ id }) => id === forPart);
  const mark = marked ? parseCapacitorMark(marked.mark) : undefined;
  if (!part) return fail(issue("payload.partId", "unknown/part", `There is no part "${partId}".`, partId));
  if (!mark?.ok)
    return fail(
      issue(
        "payload.forPart",
        "match/no-marking",
        `The marking of the ${forPart} capacitor is not read yet: enter it in Make safe.`,
        forPart,
      ),
    );
  const need = capacitorRequirement(
    mark.value,
    forPart,
    supplyOf(view.plate?.volts ?? "", shopContext.settings.value.volts).volts,
    hadResistor(view, forPart, shopContext.knowledge.moves),
    shopContext.limits,
  );
  const [ranked] = rankCapacitors(need, [part], shopContext.limits);
  if (!ranked || ranked.fit === "reject") {
    const why = ranked?.attributes
      .filter(({ fit }) => fit === "reject")
      .map(({ reason }) => fitReasonWords(reason))
      .join(" ");
    return fail(
      issue("payload.partId", "match/does-not-fit", `${part.label} does not fit: ${why ?? ""}`, partId),
    );
  }
  const notes = ranked.attributes
    .filter(({ fit }) => fit !== "fit")
    .map(({ reason }) => fitReasonWords(reason));
  const { label, priceMinor, days } = part;
  return ok({ payload: { forPart, partId, label, fit: ranked.fit, notes, priceMinor, days } });
};
