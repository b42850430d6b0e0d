import { FIGURES } from "@/core/decision/figures";
import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";
import { noSuchRepair } from "../../no-such-repair";

const FIGURE_IDS: ReadonlySet<string> = new Set(FIGURES);

/** A price is one of the job's figures, or of a part, a donor's part or an assembly that exists; its ends lie around it. */
export const complete: Completion<"priced"> = ({ of, minor, low, high }, { shop }) => {
  const { repairs, archetypes } = shop.knowledge;
  const [kind, id] = of.includes(":") ? of.split(":", 2) : ["part", of];
  const isKnown =
    FIGURE_IDS.has(of) ||
    (kind === "assembly"
      ? archetypes.some(({ assembly }) => assembly?.id === id)
      : (kind === "part" || kind === "donor") && repairs.some((one) => one.id === id));
  if (!isKnown) return noSuchRepair(of, shop);
  const newOnly =
    kind === "donor" ? repairs.find((one) => one.id === id && one.isNewOnly === true) : undefined;
  if (newOnly)
    return fail(
      issue(
        "payload.of",
        "priced/new-only",
        `${newOnly.label}: always with a new part, so no price of a used one is taken. The price of a new one is that of "${id}".`,
        of,
      ),
    );
  const [least, most] = [low ?? minor, high ?? minor];
  if (least > minor || most < minor)
    return fail(
      issue(
        "payload.minor",
        "priced/ends",
        `A price of ${minor} does not lie between ${least} and ${most}: the lowest comes first, the highest last.`,
        minor,
      ),
    );
  return ok({ payload: { of, minor, low: low ?? null, high: high ?? null } });
};
