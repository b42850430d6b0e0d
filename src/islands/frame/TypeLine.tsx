import { Command } from "cmdk";
import { useEffect, useRef, useState } from "react";
import { type CapacitorMark, parseCapacitorMark } from "@/core/markings/capacitor";
import { type NameplateLine, parseNameplate } from "@/core/nameplate/type-line";
import { request } from "../state/api";
import { useToolList } from "./use-tool-list";

interface JobHit {
  readonly jobId: number;
  readonly machine: string;
  readonly tag: string;
  readonly place: string;
}

const WAIT_MS = 150;
const LOOKS_LIKE_CAPACITOR = /\d\s*(?:[uμµ]\s*f|mfd|mf)\b|^\d{3}[FGHJKMNSZ]\b/i;

/** Jobs found by the server a moment after the last key. */
function useJobHits(typed: string): readonly JobHit[] {
  const [hits, setHits] = useState<readonly JobHit[]>([]);
  useEffect(() => {
    const timer = setTimeout(async () => {
      const words = typed.trim();
      const answer =
        words === ""
          ? undefined
          : await request<{ jobs: JobHit[] }>("GET", `/api/jobs?find=${encodeURIComponent(words)}`);
      setHits(answer?.ok ? answer.value.jobs : []);
    }, WAIT_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return hits;
}

function understood(typed: string): CapacitorMark | undefined {
  if (!LOOKS_LIKE_CAPACITOR.test(typed)) return undefined;
  const parsed = parseCapacitorMark(typed);
  return parsed.ok ? parsed.value : undefined;
}

/** Two fields of a plate are a plate: one number with a unit may be anything. */
function understoodPlate(typed: string): NameplateLine | undefined {
  const line = parseNameplate(typed);
  return Object.keys(line.fields).length >= 2 ? line : undefined;
}

function UnderstoodPlate({ plate }: { readonly plate: NameplateLine }) {
  return (
    <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1 border-rule border-b px-3 py-2">
      {plate.understood.map(({ text, meaning }) => (
        <div className="contents" key={text}>
          <dt className="num">{text}</dt>
          <dd className="text-soft">{meaning}</dd>
        </div>
      ))}
    </dl>
  );
}

function Understood({ mark }: { readonly mark: CapacitorMark }) {
  return (
    <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1 border-rule border-b px-3 py-2">
      {mark.understood.map(({ text, field, meaning }) => (
        <div className="contents" key={`${field}:${text}`}>
          <dt className="num">{text}</dt>
          <dd className="text-soft">{meaning}</dd>
        </div>
      ))}
      <dt>Part</dt>
      <dd className="text-soft">
        {mark.role === "not-known"
          ? "start or run not known: see where its wire goes"
          : `${mark.role} capacitor`}
      </dd>
    </dl>
  );
}

/** The kind of marking that is understood here: tools say which they take. */
const MARKING = "capacitor";
const ITEM = "flex min-h-11 cursor-pointer items-center gap-3 px-3 py-2 data-[selected=true]:bg-neck";

/** The shop's one line: jobs, tools, and what a part says, one key away. */
export function TypeLine({ jobId }: { readonly jobId?: number | undefined }) {
  const [typed, setTyped] = useState("");
  const [isOpen, setIsOpen] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const hits = useJobHits(typed);
  const mark = understood(typed);
  const list = useToolList(isOpen);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const target = event.target as HTMLElement;
      if (event.key !== "/" || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      event.preventDefault();
      field.current?.focus();
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, []);
  const go = (path: string): void => window.location.assign(path);
  const words = typed.trim().toLowerCase();
  const tools = words === "" ? [] : list.filter(({ title }) => title.toLowerCase().includes(words));
  const checks = mark && list.find(({ takesMarking }) => takesMarking === MARKING);
  const plate = mark ? undefined : understoodPlate(typed);
  const hasAnswer = mark !== undefined || plate !== undefined || hits.length > 0 || tools.length > 0;
  return (
    <Command
      shouldFilter={false}
      label="Type what the part says"
      className="relative w-full md:w-[300px]"
      onKeyDown={(event) => event.key === "Escape" && field.current?.blur()}
    >
      <div className="flex min-h-11 items-center gap-2 rounded-[3px] border border-ring bg-sheet px-3">
        <kbd className="key">/</kbd>
        <Command.Input
          ref={field}
          value={typed}
          onValueChange={setTyped}
          onFocus={() => setIsOpen(true)}
          onBlur={() => setIsOpen(false)}
          placeholder="Type what the part says"
          className="w-full min-w-0 bg-transparent placeholder:text-transparent focus:outline-none sm:placeholder:text-soft"
        />
      </div>
      <Command.List
        hidden={!isOpen || words === ""}
        className="absolute right-0 z-20 mt-1 max-h-[70vh] w-[min(92vw,430px)] overflow-y-auto rounded-[3px] border border-ring bg-sheet"
        onMouseDown={(event) => event.preventDefault()}
      >
        {mark ? <Understood mark={mark} /> : null}
        {checks ? (
          <Command.Item
            className={ITEM}
            value="check"
            onSelect={() =>
              go(
                `${jobId ? `/jobs/${jobId}/measure` : `/tools/${checks.id}`}?mark=${encodeURIComponent(typed)}`,
              )
            }
          >
            Check a reading against it{jobId ? ` in job ${jobId}` : ""}
          </Command.Item>
        ) : null}
        {plate ? <UnderstoodPlate plate={plate} /> : null}
        {plate && jobId ? (
          <Command.Item
            className={ITEM}
            value="plate-here"
            onSelect={() => go(`/jobs/${jobId}/take-in?plate=${encodeURIComponent(typed)}`)}
          >
            Put it on the plate of job {jobId}
          </Command.Item>
        ) : null}
        {plate ? (
          <Command.Item
            className={ITEM}
            value="plate"
            onSelect={() => go(`/jobs/new?plate=${encodeURIComponent(typed)}`)}
          >
            Take in a machine with this plate
          </Command.Item>
        ) : null}
        {hits.map((hit) => (
          <Command.Item
            className={ITEM}
            key={hit.jobId}
            value={`job-${hit.jobId}`}
            onSelect={() => go(`/jobs/${hit.jobId}/take-in`)}
          >
            <b>Job {hit.jobId}</b>
            <span>{hit.machine}</span>
            <span className="ml-auto text-soft">{hit.place}</span>
          </Command.Item>
        ))}
        {tools.map((tool) => (
          <Command.Item
            className={ITEM}
            key={tool.id}
            value={tool.id}
            onSelect={() => go(`/tools/${tool.id}`)}
          >
            {tool.title}
          </Command.Item>
        ))}
        {hasAnswer ? null : (
          <p className="px-3 py-3 text-soft">
            Nothing here by that name. A marking is typed as printed, such as 30 μF 450 V.
          </p>
        )}
      </Command.List>
    </Command>
  );
}
