import type { JobView } from "@/core/job/log/view";
import { KNOWLEDGE } from "../../core/shop-context";
import { WORKED_INPUTS } from "../../core/worked-inputs";
import type { Values } from "./values";

/** What makes a payload mean something for the job as it stands: lines that exist, answers of the move that is asked. */
export function wellMeant(kind: unknown, view: JobView, values: Values): object {
  const line = (rows: readonly { readonly seq: number }[]): number => values.pick(rows)?.seq ?? 1;
  switch (kind) {
    case "answer": {
      const move = values.pick(KNOWLEDGE.moves.filter(({ outcomes }) => outcomes.length > 0));
      return { moveId: move.id, outcomeId: values.pick(move.outcomes), taken: "afterwards" };
    }
    case "reading":
      return values.chance(0.5)
        ? {
            of: "tool",
            moveId: null,
            taken: "afterwards",
            ...values.pick(WORKED_INPUTS),
          }
        : {
            of: "dead-check",
            checkId: "insulation",
            entered: values.pick(["150 M", "0.1 M", "OL"]),
            taken: "afterwards",
          };
    case "opened":
      return { is: values.pick(KNOWLEDGE.access).id, taken: "afterwards" };
    case "intervention":
      return { repair: values.pick(KNOWLEDGE.repairs).id, seen: undefined, taken: "afterwards" };
    case "removed":
    case "closed":
      return { taken: "afterwards" };
    case "picture":
      return view.pictures[0] ? { sha256: view.pictures[0].sha256 } : {};
    case "refitted":
      return {
        line: line(view.removed.filter(({ refit }) => refit === null)),
        count: null,
        taken: "afterwards",
      };
    case "pinned":
      return { line: line(view.removed), picture: line(view.pictures), x: 0.5, y: 0.5 };
    case "reordered":
      return { lines: view.removed.map(({ seq }) => seq) };
    case "followed-up":
      return { line: line(view.followUps.filter(({ done }) => done === null)) };
    case "restored":
      return { seq: line(view.ledger.filter(({ isStruck }) => isStruck)) };
    default:
      return {};
  }
}
