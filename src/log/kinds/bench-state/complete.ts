import type { JobView } from "@/core/job/log/view";
import type { StoreId } from "@/core/knowledge/types";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import type { Reading } from "@/core/quantity/reading";
import { fail, issue, ok, type Result } from "@/core/result";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { applyBenchEvent } from "@/core/safety/bench-state";
import type { Completion } from "../../completion";
import type { Drafts } from "../../schemas";

/** What a meter that shows OL is taken for: the top of the range that most have. */
const OVER_RANGE_VOLTS = 1000;

interface VoltsRead {
  readonly volts: number;
  readonly over?: boolean;
}

/** OL on a range of volts is more than it can show: charged, whatever was read before. */
function voltsOf(reading: Reading): Result<VoltsRead> {
  if (reading.kind === "value") return ok({ volts: reading.value });
  if (reading.kind === "over-range") return ok({ volts: OVER_RANGE_VOLTS, over: true });
  return fail(
    issue(
      "payload.volts",
      "bench/volts-needed",
      "Volts read must be a number, such as 0.3: nothing read proves nothing.",
      "entered" in reading ? reading.entered : reading.why,
    ),
  );
}

function dielectricOf(view: JobView, id: StoreId): "film" | "electrolytic" | "not-known" {
  const marked = view.capacitors.find((one) => one.id === id);
  const parsed = marked ? parseCapacitorMark(marked.mark) : undefined;
  if (parsed?.ok && parsed.value.dielectric !== "not-known") return parsed.value.dielectric;
  // A run capacitor and a suppressor are film; what else stores is taken for the kind that charge creeps back into.
  return id === "run" || id === "suppressor" ? "film" : "not-known";
}

function eventOf(draft: Drafts["bench-state"], view: JobView): Result<BenchEvent> {
  if (draft.event !== "stored-volts" && draft.event !== "isolated") return ok(draft);
  const volts = voltsOf(draft.volts);
  if (!volts.ok) return volts;
  return draft.event === "isolated"
    ? ok({ event: "isolated", ...volts.value, means: draft.means })
    : ok({
        event: "stored-volts",
        id: draft.id,
        ...volts.value,
        dielectric: dielectricOf(view, draft.id),
      });
}

/** Volts as a number, the dielectric from the marking; an event that the bench state does not allow is refused. */
export const complete: Completion<"bench-state"> = (draft, { view, now, shop }) => {
  const event = eventOf(draft, view);
  if (!event.ok) return event;
  // What power did is a fact: it stops live work, and no state refuses it.
  if (event.value.event === "incident") return ok({ payload: event.value });
  const tried = applyBenchEvent(view.bench, event.value, now, view.machine, shop.limits);
  return tried.ok ? ok({ payload: event.value }) : tried;
};
