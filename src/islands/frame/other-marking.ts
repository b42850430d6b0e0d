import { parseLeadPair } from "@/core/markings/lead-pair";
import { bandsIn, type LegibleColour, markedBy } from "@/core/markings/resistor-bands";
import { formatPercent, formatText } from "@/core/quantity/format";

/** Something that a tool takes, beside capacitors and plates, with what each piece of it means. */
export interface OtherMarking {
  /** What the tool says that it takes. */
  readonly kind: "bands" | "lead-pair";
  readonly rows: readonly { readonly text: string; readonly meaning: string }[];
}

const isLegible = (colour: string): colour is LegibleColour => colour !== "burnt";

function bands(typed: string): OtherMarking | undefined {
  const colours = bandsIn(typed);
  if (!colours) return undefined;
  const marked = colours.every(isLegible) ? markedBy(colours.filter(isLegible)) : undefined;
  const meaning = marked
    ? `${formatText(marked.ohms, "Ω")} ±${formatPercent(marked.tolerance)}${marked.isPreferred ? "" : ", not a value that is sold"}`
    : "no value from this end";
  return { kind: "bands", rows: [{ text: colours.join(" "), meaning }] };
}

/** Colours of a resistor, or a pair of leads with its ohms. */
export function otherMarking(typed: string): OtherMarking | undefined {
  const found = bands(typed);
  if (found) return found;
  const pair = parseLeadPair(typed);
  if (!pair.ok) return undefined;
  const { a, b, reading } = pair.value;
  // Two words with a dash may be anything: only with its ohms is it a pair of leads.
  if (!reading) return undefined;
  const ohms = reading.kind === "value" ? formatText(reading.value, reading.unit) : "over range";
  return {
    kind: "lead-pair",
    rows: [
      { text: `${a}, ${b}`, meaning: "two leads" },
      { text: ohms, meaning: "between them" },
    ],
  };
}
