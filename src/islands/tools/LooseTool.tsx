import { useState } from "react";
import { formatInstant } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import type { Finding } from "@/core/tools/finding.input";
import { useToolWords } from "@/islands/state/tool-words";
import { saidWords, VERDICT_WORDS } from "@/words/said";
import { PlainFrame } from "../frame/PlainFrame";
import { VerdictMark } from "../frame/VerdictMark";
import { withShop } from "../frame/with-shop";
import { request } from "../state/api";
import { useAwake } from "../state/awake";
import { benchName, newId } from "../state/person";
import { keyReading, markingInAddress } from "./given";
import { ToolSheet } from "./ToolSheet";
import { type LoadedTool, useLoadedTool } from "./use-loaded-tool";
import { useToolSheet } from "./use-tool-sheet";

export interface LooseRow {
  readonly id: string;
  readonly input: Readonly<Record<string, unknown>>;
  readonly finding: Finding;
  readonly at: string;
  readonly by: string;
}

export interface OpenJob {
  readonly jobId: number;
  readonly seq: number;
  readonly machine: string;
}

interface LooseProps {
  readonly toolId: string;
  readonly shop: Shop;
  readonly readings: readonly LooseRow[];
  readonly jobs: readonly OpenJob[];
}

async function putInJob(row: LooseRow, jobId: number): Promise<string | undefined> {
  const job = await request("GET /api/jobs/{id}", { params: { id: String(jobId) } });
  if (!job.ok) return job.issues[0]?.message;
  // Clues beside what it was taken for are no move of it.
  const moveId = row.finding.evidence.find(({ always }) => always !== true)?.moveId ?? null;
  const draft = {
    entryId: newId(),
    expectedSeq: job.value.seq,
    kind: "reading",
    stage: "measure",
    by: benchName(),
    payload: { of: "loose", looseReadingId: row.id, moveId },
  } as const;
  const kept = await request("POST /api/jobs/{id}/entries", { params: { id: String(jobId) }, body: draft });
  return kept.ok ? undefined : kept.issues[0]?.message;
}

interface RowProps extends Pick<LooseProps, "jobs" | "shop"> {
  readonly row: LooseRow;
}

function Row({ row, jobs, shop }: RowProps) {
  const [told, setTold] = useState<string | undefined>(undefined);
  const { toolId } = row.finding.basis;
  const words = useToolWords([toolId]);
  const put = async (jobId: number): Promise<void> => {
    const problem = await putInJob(row, jobId);
    setTold(problem ?? `Put in job ${jobId}.`);
  };
  const reason = row.finding.reasons[0];
  const shown = keyReading(row.finding);
  return (
    <li className="grid min-h-14 items-center gap-x-4 border-rule border-t py-1.5 md:grid-cols-[26px_130px_minmax(0,1fr)_max-content_220px]">
      <VerdictMark shape={row.finding.verdict} />
      <b className="num">{shown}</b>
      <span>{reason ? saidWords(words, toolId, reason) : VERDICT_WORDS[row.finding.verdict]}</span>
      <span className="text-soft">{formatInstant(row.at, shop.settings.zone)}</span>
      {told ? (
        <span role="status">{told}</span>
      ) : (
        <select
          className="select"
          aria-label={`Put ${shown} in a job`}
          value=""
          onChange={(event) => put(Number(event.target.value))}
        >
          <option value="">put in job …</option>
          {jobs.map(({ jobId, machine }) => (
            <option key={jobId} value={jobId}>
              {jobId} {machine}
            </option>
          ))}
        </select>
      )}
    </li>
  );
}

function Sheet({ loaded, shop, readings, jobs }: LooseProps & { readonly loaded: LoadedTool }) {
  const { tool, pictures } = loaded;
  const [rows, setRows] = useState(readings);
  const model = useToolSheet({
    tool,
    draftKey: "loose",
    given: {
      marking: markingInAddress(),
      hertz: String(shop.settings.hertz),
      supply: String(shop.settings.volts),
    },
    shop,
    target: {
      isGated: () => false,
      keep: async (input) => {
        const draft = { id: newId(), toolId: tool.id, input, by: benchName() };
        const kept = await request("POST /api/readings", { body: draft });
        if (!kept.ok) return kept.issues;
        setRows([kept.value, ...rows]);
        return [];
      },
    },
  });
  return (
    <>
      <ToolSheet
        model={model}
        pictures={pictures}
        shop={shop}
        title={tool.title}
        how={tool.how}
        whose="No job: kept here, and can be put in a job later"
        gate={null}
        kept={null}
      />
      <section aria-label="Readings kept" className="mt-6">
        <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">Readings kept, newest first</h2>
        {rows.length === 0 ? (
          <p className="py-3 text-soft">None yet. Type a reading above; Enter keeps it.</p>
        ) : null}
        <ul>
          {rows.map((row) => (
            <Row key={row.id} row={row} jobs={jobs} shop={shop} />
          ))}
        </ul>
      </section>
    </>
  );
}

/** A tool on its own: no job needed, and the reading is kept all the same. */
export const LooseTool = withShop(function LooseTool(props: LooseProps) {
  const isAwake = useAwake();
  const loaded = useLoadedTool(props.toolId);
  return (
    <PlainFrame path="/tools">{isAwake && loaded ? <Sheet {...props} loaded={loaded} /> : null}</PlainFrame>
  );
});
