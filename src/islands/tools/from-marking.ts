import { parseLeadPair } from "@/core/markings/lead-pair";
import { bandsIn } from "@/core/markings/resistor-bands";
import type { Tool } from "@/core/tools/tool";
import type { ToolDraft } from "@/drawing/typed";

/** What the type line handed over, as the field that takes it holds it: a pair of leads, or bands in a row. */
export function fromMarking({ takesMarking, fields }: Tool, marking: string | undefined): ToolDraft {
  const id = takesMarking?.field;
  if (id === undefined || marking === undefined) return {};
  if (fields[id]?.kind === "pairs") {
    const pair = parseLeadPair(marking);
    if (!pair.ok) return {};
    const { a, b, reading } = pair.value;
    const entered = reading && "entered" in reading ? reading.entered : "";
    return {
      [`${id}.leads`]: `${a} ${b}`,
      ...(entered === "" ? {} : { [id]: [{ a, b, reading: entered }] }),
    };
  }
  if (fields[id]?.kind === "sequence") return { [id]: bandsIn(marking) ?? [] };
  return {};
}
