import type { JobView, LedgerLine } from "@/core/job/log/view";
import { NOT_KNOWN } from "@/core/knowledge/machine-kind";
import type { Fault } from "@/core/knowledge/types";
import { lineWords } from "@/log/words";
import { inSentence } from "@/words/in-sentence";
import type { LetterContext } from "./context";

/** So many readings and looks say how we know; more is a log. */
const MOST_REASONS = 3;

interface Shown {
  readonly moveId: string;
  readonly outcomeId: string;
  readonly seq: number;
}

/** Faults that an answer or a reading of this job proves directly, each with the line that does. */
function proven(view: JobView, faults: readonly Fault[]): { readonly fault: Fault; readonly seq: number }[] {
  const family = view.takenIn?.family ?? "";
  // What was read after the last work tells of the machine as it is now, not of what was wrong with it.
  const last = view.interventions.at(-1)?.seq ?? Number.POSITIVE_INFINITY;
  const shown: readonly Shown[] = view.answers.filter(({ seq }) => seq < last);
  return faults
    .filter(({ families }) => family === NOT_KNOWN || families.includes(family))
    .flatMap((fault) => {
      const proof = shown.find(({ moveId, outcomeId }) =>
        fault.provenBy.some((one) => one.moveId === moveId && one.outcomeId === outcomeId),
      );
      return proof ? [{ fault, seq: proof.seq }] : [];
    });
}

/** Of what was shown, what the work was for; all of it where nothing was done, or something else. */
function namedBy<One extends { readonly fault: Fault }>(
  view: JobView,
  found: readonly One[],
): readonly One[] {
  const cured = new Set(view.interventions.flatMap(({ faultIds }) => faultIds));
  const named = found.filter(({ fault }) => cured.has(fault.id));
  return named.length > 0 ? named : found;
}

/** A reading that shows a fault: of a part, or of the machine's protection. */
function isTelling(line: LedgerLine): boolean {
  if (line.isStruck || line.kind !== "reading") return false;
  return line.payload.of === "tool"
    ? line.payload.finding.verdict === "faulty"
    : line.payload.verdict === "failed";
}

/** What was wrong, what caused it, and the two or three readings and looks that show it. */
export function foundSentences(view: JobView, { shop, faults, sentences }: LetterContext): string[] {
  const found = namedBy(view, proven(view, faults));
  const lines = view.ledger.filter(
    (line) => !line.isStruck && (found.some(({ seq }) => seq === line.seq) || isTelling(line)),
  );
  const reasons = lines
    .slice(-MOST_REASONS)
    .map((line) => lineWords(line, { shop, sentences }))
    .map((words) => (/[.!?]$/.test(words) ? words : `${words}.`));
  const causes = found.flatMap(({ fault }) =>
    fault.leadsTo.flatMap(({ fault: to }) => {
      const hurt = found.find((one) => one.fault.id === to);
      return hurt ? [`${fault.label} brought about ${inSentence(hurt.fault.label)}.`] : [];
    }),
  );
  if (found.length === 0 && reasons.length === 0) return ["We found nothing that shows a fault."];
  const names = found.map(({ fault }) => inSentence(fault.label));
  const what =
    names.length === 0
      ? ""
      : `It had ${names.length === 1 ? "this fault" : "these faults"}: ${names.join("; ")}.`;
  return [what, ...reasons, ...causes].filter((one) => one !== "");
}
