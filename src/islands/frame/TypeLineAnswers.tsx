import { Command } from "cmdk";
import type { JobHit } from "@/core/job/job-hit";
import type { CapacitorMark } from "@/core/markings/capacitor";
import type { NameplateLine } from "@/core/nameplate/type-line";
import type { ToolCard } from "@/core/tools/tool";
import type { PartHit } from "@/wire/parts";
import { hitWords } from "@/words/job-hit";
import { goTo } from "../state/go-to";
import type { OtherMarking } from "./other-marking";

const ITEM =
  "flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3 px-3 py-2 data-[selected=true]:bg-neck";

const UNDERSTOOD: readonly string[] = [
  "a job by its number, machine, owner, tag or place",
  "what a capacitor says, such as 30 μF 5% 450 V",
  "a plate, whole or in part, such as 230 V 50 Hz 3.4 A",
  "the colours of a resistor, such as brown green orange gold",
  "two leads and their ohms, such as red-blue 12.4",
  "what a bearing, a fuse, a brush or an O-ring says, such as 6202-2RS",
  "a tool by its name",
];

/** Before anything is typed: what the line takes. */
export function Takes() {
  return (
    <div className="px-3 py-2 text-soft">
      It finds or reads:
      <ul className="list-disc pl-5">
        {UNDERSTOOD.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </div>
  );
}

interface SaidProps {
  readonly rows: readonly { readonly text: string; readonly meaning: string }[];
}

/** What is typed, piece by piece, with what each piece is taken to mean. */
function Said({ rows }: SaidProps) {
  return (
    <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1 border-rule border-b px-3 py-2">
      {rows.map(({ text, meaning }) => (
        <div className="contents" key={`${text}:${meaning}`}>
          <dt className={text === "Part" ? "" : "num"}>{text}</dt>
          <dd className="text-soft">{meaning}</dd>
        </div>
      ))}
    </dl>
  );
}

interface ItemProps {
  readonly value: string;
  readonly path: string;
  readonly children: React.ReactNode;
}

function Way({ value, path, children }: ItemProps) {
  return (
    <Command.Item className={ITEM} value={value} onSelect={() => goTo(path)}>
      {children}
    </Command.Item>
  );
}

/** Pieces that mean nothing here. */
function ignored(pieces: readonly string[]) {
  return pieces.map((text) => ({ text, meaning: "not understood: left out" }));
}

/** What a capacitor's marking says. */
export function MarkSaid({ mark }: { readonly mark: CapacitorMark }) {
  const part =
    mark.role === "not-known" ? "start or run not known: see where its wire goes" : `${mark.role} capacitor`;
  return <Said rows={[...mark.understood, { text: "Part", meaning: part }, ...ignored(mark.leftOver)]} />;
}

interface WaysProps {
  readonly typed: string;
  readonly jobId: number | undefined;
}

/** The tool that a reading is held against a marking with. */
export function MarkWays({ typed, toolId, jobId }: WaysProps & { readonly toolId: string }) {
  const at = jobId ? `/jobs/${jobId}/measure` : `/tools/${toolId}`;
  return (
    <Way value="check" path={`${at}?mark=${encodeURIComponent(typed)}`}>
      Check a reading against it{jobId ? ` in job ${jobId}` : ""}
    </Way>
  );
}

export function PlateSaid({ plate }: { readonly plate: NameplateLine }) {
  return <Said rows={[...plate.understood, ...ignored(plate.leftOver === "" ? [] : [plate.leftOver])]} />;
}

export function OtherSaid({ marking }: { readonly marking: OtherMarking }) {
  return <Said rows={marking.rows} />;
}

/** The sheet that takes it, in the job or by itself. */
export function OtherWays({
  marking,
  typed,
  toolId,
  jobId,
}: WaysProps & { readonly marking: OtherMarking; readonly toolId: string }) {
  const at = jobId ? `/jobs/${jobId}/measure?tool=${toolId}&` : `/tools/${toolId}?`;
  return (
    <Way value="other" path={`${at}mark=${encodeURIComponent(typed)}`}>
      {marking.kind === "bands" ? "Hold its ohms against it" : "Put it in the map of the leads"}
      {jobId ? ` in job ${jobId}` : ""}
    </Way>
  );
}

/** The machine that a plate may belong to. */
export function PlateWays({ typed, jobId }: WaysProps) {
  const line = `plate=${encodeURIComponent(typed)}`;
  return (
    <>
      {jobId ? (
        <Way value="plate-here" path={`/jobs/${jobId}/take-in?${line}`}>
          Put it on the plate of job {jobId}
        </Way>
      ) : null}
      <Way value="plate" path={`/jobs/new?${line}`}>
        Take in a machine with this plate
      </Way>
    </>
  );
}

/** Parts by their marking: matched in the job, or by themselves. */
export function PartAnswers({ parts, typed, jobId }: WaysProps & { readonly parts: readonly PartHit[] }) {
  const at = jobId ? `/jobs/${jobId}/match` : "/parts";
  return parts.map(({ family, title, said, found }) => (
    <Way
      key={family}
      value={`part-${family}`}
      path={`${at}?part=${family}&mark=${encodeURIComponent(typed.trim())}`}
    >
      <span>
        <b>{title}</b> {said}
      </span>
      <span className="text-soft">
        {found === 0 ? "none on the list" : `${found} on the list`}
        {jobId ? `, match it in job ${jobId}` : ""}
      </span>
    </Way>
  ));
}

export function JobAnswers({ hits }: { readonly hits: readonly JobHit[] }) {
  return hits.map((hit) => (
    <Way key={hit.jobId} value={`job-${hit.jobId}`} path={`/jobs/${hit.jobId}/take-in`}>
      <span>
        <b>Job {hit.jobId}</b> {hit.machine}
      </span>
      <span className="basis-full text-[15px] text-soft leading-tight">{hitWords(hit)}</span>
    </Way>
  ));
}

export function ToolAnswers({ tools }: { readonly tools: readonly Pick<ToolCard, "id" | "title">[] }) {
  return tools.map(({ id, title }) => (
    <Way key={id} value={id} path={`/tools/${id}`}>
      {title}
    </Way>
  ));
}
