import { formatReading, formatText } from "@/core/quantity/format";
import { saidWords, VERDICT_WORDS } from "@/words/said";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"reading"> = (payload, { shop, sentences }) => {
  if (payload.of === "dead-check") {
    const label = shop.deadChecks.find(({ id }) => id === payload.checkId)?.label ?? payload.checkId;
    const shown = payload.reading ? formatReading(payload.reading) : undefined;
    const value = shown ? `${shown.number} ${shown.unit}` : payload.entered;
    return `${label}: ${value}${payload.taken === "afterwards" ? ", entered afterwards" : ""}`;
  }
  const move = shop.moves.find(({ id }) => id === payload.moveId);
  const tool = shop.tools.find(({ id }) => id === payload.toolId);
  const about = move?.part?.name ?? move?.title ?? tool?.title ?? payload.toolId;
  const { reasons, figures, verdict, basis } = payload.finding;
  const [reason] = reasons;
  const [figure] = figures;
  const why = (reason && saidWords(sentences, basis.toolId, reason)) || VERDICT_WORDS[verdict];
  const late = payload.taken === "afterwards" ? ", entered afterwards" : "";
  const value = figure ? ` ${formatText(figure.value, figure.unit)}` : "";
  return `${about.charAt(0).toUpperCase()}${about.slice(1)}${value}: ${why}${late}`;
};
