import {
  type ColumnDef,
  type ColumnFiltersState,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  type Row,
  type SortingState,
  useReactTable,
} from "@tanstack/react-table";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useMemo, useRef, useState } from "react";
import { folded } from "@/core/job/folded";
import type { ListedJob } from "@/core/job/job-list";
import { dayIn, formatDay } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { stepHref, stepWords } from "@/words/steps";
import { Field } from "../fields/Field";
import { PlainFrame } from "../frame/PlainFrame";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { useJobList } from "./use-job-list";

interface JobsProps {
  readonly settings: Shop["settings"];
  readonly families: readonly { readonly id: string; readonly label: string }[];
}

const STATES = [
  { value: "", label: "All" },
  { value: "now", label: "To do now" },
  { value: "waiting", label: "Waiting" },
  { value: "due", label: "Due" },
  { value: "gone", label: "Left" },
] as const;

const SORTS = [
  { value: "touchedAt", label: "Last touched" },
  { value: "takenInAt", label: "Taken in" },
  { value: "jobId", label: "Number" },
  { value: "machine", label: "Machine" },
  { value: "ownerName", label: "Owner" },
  { value: "until", label: "Falls due" },
] as const;

interface Wanted {
  readonly words: string;
  readonly state: string;
  readonly kind: string;
  readonly place: string;
  readonly sort: string;
  readonly isDown: boolean;
}

const ALL: Wanted = { words: "", state: "", kind: "", place: "", sort: "touchedAt", isDown: true };
const LINE_PX = 76;
const DAY = /^\d{4}-\d\d-\d\d$/;

function columnsFor({ settings, families }: JobsProps): ColumnDef<ListedJob>[] {
  const kindOf = (family: string): string => families.find(({ id }) => id === family)?.label ?? family;
  const plain = (id: keyof ListedJob & string): ColumnDef<ListedJob> => ({ id, accessorKey: id });
  return [
    plain("jobId"),
    plain("machine"),
    plain("ownerName"),
    plain("takenInAt"),
    plain("touchedAt"),
    { ...plain("family"), filterFn: "equalsString" },
    { ...plain("place"), filterFn: "equalsString" },
    { id: "state", accessorFn: ({ step }) => step.band, filterFn: "equalsString" },
    { id: "until", accessorFn: ({ step }) => step.until ?? "~" },
    {
      id: "words",
      accessorFn: (job) =>
        folded(
          [
            job.jobId,
            job.machine,
            job.ownerName,
            job.place,
            kindOf(job.family),
            stepWords(job.step, settings.zone),
          ].join(" "),
        ),
      filterFn: (row, id, wanted: string) =>
        folded(wanted)
          .split(/\s+/)
          .every((word) => row.getValue<string>(id).includes(word)),
    },
  ];
}

function filtersOf({ words, state, kind, place }: Wanted): ColumnFiltersState {
  return [
    { id: "words", value: words.trim() },
    { id: "state", value: state },
    { id: "family", value: kind },
    { id: "place", value: place },
  ].filter(({ value }) => value !== "");
}

function Pick({
  label,
  value,
  choices,
  onChoose,
}: {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly { readonly value: string; readonly label: string }[];
  onChoose(value: string): void;
}) {
  return (
    <Field label={label}>
      {(ids) => (
        <select {...ids} className="select" value={value} onChange={(event) => onChoose(event.target.value)}>
          {choices.map((choice) => (
            <option key={choice.value} value={choice.value}>
              {choice.label}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

function JobLine({ job, settings }: { readonly job: ListedJob; readonly settings: Shop["settings"] }) {
  const { step } = job;
  const isOverdue =
    step.band !== "gone" &&
    step.until !== undefined &&
    DAY.test(step.until) &&
    step.until < dayIn(new Date().toISOString(), settings.zone);
  return (
    <a
      href={stepHref(step, job.jobId)}
      className="grid h-full content-center gap-x-5 overflow-hidden border-rule border-t hover:bg-sheet md:grid-cols-[260px_minmax(0,1fr)_130px_130px] md:items-center"
    >
      <span className="truncate">
        <b className="num">{job.jobId}</b> <b>{job.machine}</b>
        <span className="text-soft md:block md:truncate">
          <span className="md:hidden"> · </span>
          <span dir="auto">{job.ownerName}</span>
          {job.place ? ` · ${job.place}` : ""}
        </span>
      </span>
      <span className="truncate">
        {isOverdue ? <b className="mr-2 text-brass">Overdue</b> : null}
        {stepWords(step, settings.zone)}
      </span>
      <span className="hidden text-soft md:block">{formatDay(dayIn(job.takenInAt, settings.zone))}</span>
      <span className="hidden text-soft md:block">{formatDay(dayIn(job.touchedAt, settings.zone))}</span>
    </a>
  );
}

/** Only the lines in sight are drawn; the window scrolls. */
function Lines({
  rows,
  settings,
}: {
  readonly rows: readonly Row<ListedJob>[];
  readonly settings: Shop["settings"];
}) {
  const list = useRef<HTMLUListElement>(null);
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => LINE_PX,
    overscan: 8,
    scrollMargin: list.current?.offsetTop ?? 0,
  });
  return (
    <ul ref={list} className="relative" style={{ height: virtual.getTotalSize() }} aria-label="Jobs">
      {virtual.getVirtualItems().map(({ index, start }) => {
        const row = rows[index];
        return row ? (
          <li
            key={row.original.jobId}
            className="absolute inset-x-0"
            style={{ height: LINE_PX, transform: `translateY(${start - virtual.options.scrollMargin}px)` }}
          >
            <JobLine job={row.original} settings={settings} />
          </li>
        ) : null;
      })}
    </ul>
  );
}

function Table(props: JobsProps) {
  const { jobs, all, isWhole, problem } = useJobList();
  const [wanted, setWanted, clear] = useDraft<Wanted>("jobs", ALL);
  const set = (change: Partial<Wanted>): void => setWanted({ ...wanted, ...change });
  const columns = useMemo(() => columnsFor(props), [props]);
  const data = useMemo(() => [...jobs], [jobs]);
  const sorting: SortingState = [{ id: wanted.sort, desc: wanted.isDown }];
  const table = useReactTable({
    data,
    columns,
    state: { sorting, columnFilters: filtersOf(wanted) },
    getRowId: ({ jobId }) => String(jobId),
    getCoreRowModel: getCoreRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const { rows } = table.getRowModel();
  const places = [...new Set(jobs.map(({ place }) => place).filter((place) => place !== ""))].sort();
  const kinds = props.families.filter(({ id }) => jobs.some(({ family }) => family === id));
  const any = (label: string) => ({ value: "", label });
  const [isMore, setIsMore] = useState(false);
  return (
    <>
      <div className="grid items-end gap-3 sm:grid-cols-[minmax(0,1fr)_180px_auto]">
        <Field label="Find a job">
          {(ids) => (
            <input
              {...ids}
              className="input"
              placeholder="Number, machine, owner, place, what it waits for"
              value={wanted.words}
              maxLength={300}
              onChange={(event) => set({ words: event.target.value })}
            />
          )}
        </Field>
        <Pick label="State" value={wanted.state} choices={STATES} onChoose={(state) => set({ state })} />
        <button
          type="button"
          className="btn btn-outline"
          aria-expanded={isMore}
          onClick={() => setIsMore(!isMore)}
        >
          Sort and more
        </button>
      </div>
      {isMore ? (
        <div className="mt-3 grid items-end gap-3 sm:grid-cols-4">
          <Pick
            label="Kind of motor"
            value={wanted.kind}
            choices={[any("All"), ...kinds.map(({ id, label }) => ({ value: id, label }))]}
            onChoose={(kind) => set({ kind })}
          />
          <Pick
            label="Place"
            value={wanted.place}
            choices={[any("All"), ...places.map((place) => ({ value: place, label: place }))]}
            onChoose={(place) => set({ place })}
          />
          <Pick label="Sorted by" value={wanted.sort} choices={SORTS} onChoose={(sort) => set({ sort })} />
          <label className="chip w-fit">
            <input
              className="sr-only"
              type="checkbox"
              checked={wanted.isDown}
              onChange={(event) => set({ isDown: event.target.checked })}
            />
            Last first
          </label>
        </div>
      ) : null}
      <p role="status" className="mt-3 flex flex-wrap items-center gap-3 text-soft">
        {problem ??
          (all === undefined ? "Loading …" : `${rows.length} of ${all}${isWhole ? "" : ", still loading"}`)}
        {filtersOf(wanted).length > 0 ? (
          <button type="button" className="min-h-11 text-teal underline underline-offset-4" onClick={clear}>
            Show all
          </button>
        ) : null}
      </p>
      {isWhole && rows.length === 0 ? (
        <div className="move mt-3 px-5 py-5">
          <h2 className="font-bold text-2xl">{all === 0 ? "No job yet" : "No job is like that"}</h2>
          <p className="mt-1 text-lg">
            {all === 0 ? "Take in the first machine." : "Take a word away, or show all of them."}
          </p>
        </div>
      ) : (
        <Lines rows={rows} settings={props.settings} />
      )}
    </>
  );
}

/** All jobs of the shop, to be searched, filtered and sorted. */
export function JobsScreen(props: JobsProps) {
  const isAwake = useAwake();
  return (
    <PlainFrame path="/jobs">
      <div className="mb-3 flex items-center justify-between gap-3">
        <h1 className="font-bold text-[28px] leading-tight">Jobs</h1>
        <a className="btn btn-outline" href="/jobs/new">
          Take in a machine
        </a>
      </div>
      {isAwake ? <Table {...props} /> : null}
    </PlainFrame>
  );
}
