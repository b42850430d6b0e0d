import { useState } from "react";
import { formatInstant } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import type { Finding } from "@/core/tools/tool";
import { Problem } from "../../fields/Problem";
import { PlainFrame } from "../../frame/PlainFrame";
import { VerdictMark } from "../../frame/VerdictMark";
import { request } from "../../state/api";
import { useAwake } from "../../state/awake";
import { benchName, newId } from "../../state/person";
import { reasonWords } from "../../words/said";
import { CapacitorSheet } from "./CapacitorSheet";
import { useCapacitorSheet } from "./use-capacitor-sheet";

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
  readonly shop: Shop;
  readonly readings: readonly LooseRow[];
  readonly jobs: readonly OpenJob[];
}

async function putInJob(row: LooseRow, jobId: number, moveId: string): Promise<string | undefined> {
  const job = await request<{ seq: number }>("GET", `/api/jobs/${jobId}`);
  if (!job.ok) return job.issues[0]?.message;
  const draft = {
    entryId: newId(),
    expectedSeq: job.value.seq,
    kind: "reading",
    stage: "measure",
    by: benchName(),
    payload: { of: "loose", looseReadingId: row.id, moveId },
  };
  const kept = await request("POST", `/api/jobs/${jobId}/entries`, draft);
  return kept.ok ? undefined : kept.issues[0]?.message;
}

function Row({
  row,
  jobs,
  shop,
}: {
  readonly row: LooseRow;
  readonly jobs: readonly OpenJob[];
  readonly shop: Shop;
}) {
  const [told, setTold] = useState<string | undefined>(undefined);
  const moveId = row.finding.evidence[0]?.moveId ?? "start-capacitance";
  const put = async (jobId: number): Promise<void> => {
    const problem = await putInJob(row, jobId, moveId);
    setTold(problem ?? `Put in job ${jobId}.`);
  };
  const reason = row.finding.reasons[0];
  return (
    <li className="grid min-h-14 items-center gap-x-4 border-rule border-t py-1.5 md:grid-cols-[26px_130px_minmax(0,1fr)_max-content_220px]">
      <VerdictMark shape={row.finding.verdict} />
      <b className="num">{String(row.input["reading"])}</b>
      <span>
        {reason ? reasonWords(reason) : ""} <span className="num text-soft">{String(row.input["mark"])}</span>
      </span>
      <span className="text-soft">{formatInstant(row.at, shop.settings.zone)}</span>
      {told ? (
        <span role="status">{told}</span>
      ) : (
        <select
          className="select"
          aria-label={`Put ${String(row.input["reading"])} in a job`}
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

function Sheet({ shop, readings, jobs }: LooseProps) {
  const given = new URLSearchParams(window.location.search).get("mark") ?? "";
  const model = useCapacitorSheet({ draftKey: "loose", mark: given, role: undefined, shop });
  const [rows, setRows] = useState(readings);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const keep = async (): Promise<void> => {
    if (model.reading.take() === undefined) return;
    if (!model.finding)
      return model.reading.object([{ path: "", code: "sheet/incomplete", message: model.missing ?? "" }]);
    const kept = await request<LooseRow>("POST", "/api/readings", {
      id: newId(),
      toolId: "capacitor-against-mark",
      input: model.input,
      by: benchName(),
    });
    setProblem(kept.ok ? undefined : kept.issues.map(({ message }) => message).join(" "));
    if (!kept.ok) return;
    setRows([kept.value, ...rows]);
    model.next();
  };
  return (
    <>
      <CapacitorSheet
        model={model}
        shop={shop}
        title="Capacitor against its mark"
        whose="No job: kept here, and can be put in a job later"
        gate={<Problem text={problem} />}
        kept={null}
        onKeep={keep}
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

/** The tool on its own: no job needed, and the reading is kept all the same. */
export function LooseCapacitor(props: LooseProps) {
  const isAwake = useAwake();
  return <PlainFrame path="/tools">{isAwake ? <Sheet {...props} /> : null}</PlainFrame>;
}
