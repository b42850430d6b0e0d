import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { EarlierReading } from "../tools/EarlierReading";
import { givenFor } from "../tools/given";
import { AskedFields, MainFields } from "../tools/ToolFields";
import { ReadingPart } from "../tools/ToolSheet";
import { type LoadedTool, useLoadedTool } from "../tools/use-loaded-tool";
import { useToolSheet } from "../tools/use-tool-sheet";
import type { MoveProps } from "./move-props";
import { SaysNothing } from "./SaysNothing";

type ReadingProps = MoveProps & { readonly toolId: string };

function Sheet({ screen, shop, move, knowledge, loaded }: ReadingProps & { readonly loaded: LoadedTool }) {
  const { job } = screen;
  const { ask, post, problem } = usePost(job.jobId);
  const { tool } = loaded;
  const given = givenFor(job, move, shop);
  const takenNow = (): "now" | "afterwards" =>
    screen.gaps(move.needs).length > 0 || screen.liveGaps(move.power).length > 0 ? "afterwards" : "now";
  const model = useToolSheet({
    tool,
    draftKey: `${job.jobId}:${move.id}`,
    given,
    shop,
    target: {
      // What stands in the way is shown above: whoever writes it down all the same did it before.
      isGated: () => false,
      keep: (input) =>
        ask({
          kind: "reading",
          stage: "isolate",
          payload: { of: "tool", toolId: tool.id, moveId: move.id, input, taken: takenNow() },
        }),
    },
  });
  const notSure = (): void => {
    const payload = { moveId: move.id, outcomeId: "not-sure", circumstance: "cold", taken: takenNow() };
    void post({ kind: "answer", stage: "isolate", payload });
  };
  return (
    <>
      {given.marking === undefined ? null : (
        <p className="mb-2 text-soft">
          Marked <span className="num text-ink">{given.marking}</span>
        </p>
      )}
      <EarlierReading job={job} shop={shop} moveId={move.id} />
      <AskedFields model={model} shop={shop} />
      <MainFields model={model} shop={shop} />
      <ReadingPart
        model={model}
        hasMeter={shop.hasMeter}
        whose={`Job ${job.jobId} · ${job.takenIn?.machine ?? ""}`}
      />
      <Problem text={model.problem ?? problem} />
      <SaysNothing
        job={job}
        move={move}
        knowledge={knowledge}
        isReady={takenNow() === "now"}
        onNotSure={notSure}
      />
    </>
  );
}

/** A tool's reading inside the next move's card: typed, judged beside it, kept with Enter. */
export function ToolReading(props: ReadingProps) {
  const loaded = useLoadedTool(props.toolId);
  return loaded ? <Sheet {...props} loaded={loaded} /> : null;
}
