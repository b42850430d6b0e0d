import type { Removed, RemovedSort } from "@/core/job/log/entry";
import { WIRE_COLOURS } from "@/drawing/wire-colours";
import { SORT_WORDS } from "@/words/put-back";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import type { Ready, TakingApart } from "./use-taking-apart";

const COUNTS = ["1", "2", "3", "4", "6", "8"].map((value) => ({ value, label: value }));
const TRAYS = ["tray 1", "tray 2", "tray 3", "tray 4", "bag"].map((value) => ({ value, label: value }));
const DRIVES = ["cross", "slot", "star", "hex socket", "hex head", "nut"] as const;

type Named = Pick<Removed, "sort" | "what">;
const SMALL: readonly Named[] = [
  { sort: "washer", what: "wave washer" },
  { sort: "washer", what: "thrust washer" },
  { sort: "washer", what: "spring washer" },
  { sort: "seal", what: "seal" },
  { sort: "seal", what: "felt" },
  { sort: "seal", what: "grommet" },
];
const LARGE: readonly Named[] = [
  { sort: "cover", what: "cover" },
  { sort: "connector", what: "connector" },
  { sort: "mark", what: "mark on end bell" },
  { sort: "part", what: "end bell" },
  { sort: "part", what: "rotor" },
  { sort: "part", what: "fan" },
  { sort: "part", what: "pulley" },
  { sort: "part", what: "belt" },
];
const SORTS = (["fastener", "cover", "connector", "wire", "mark", "part", "seal", "washer"] as const).map(
  (value) => ({ value, label: SORT_WORDS[value] }),
);

interface GroupProps {
  readonly title: string;
  readonly children: React.ReactNode;
}

function Group({ title, children }: GroupProps) {
  return (
    <fieldset className="mt-2 sm:grid sm:grid-cols-[92px_minmax(0,1fr)]">
      <legend className="float-left pt-2.5 pr-2 font-semibold text-soft">{title}</legend>
      <div className="flex flex-wrap gap-2">{children}</div>
    </fieldset>
  );
}

interface PartProps {
  readonly apart: TakingApart;
}

function OneTap({
  apart,
  label,
  line,
}: PartProps & { readonly label: string; readonly line: Named & Partial<Removed> }) {
  return (
    <button
      type="button"
      className="btn btn-outline"
      aria-label={`Off: ${label}`}
      disabled={apart.isBusy}
      onClick={() => void apart.keep(line)}
    >
      {label}
    </button>
  );
}

function Swatch({ name }: { readonly name: string }) {
  const colour = WIRE_COLOURS.find((one) => one.name === name);
  return (
    <svg width="22" height="14" viewBox="0 0 22 14" aria-hidden="true">
      <rect width="22" height="14" fill={colour?.fill} stroke="var(--ring)" />
      {colour?.stripe ? <rect y="5" width="22" height="4" fill={colour.stripe} /> : null}
    </svg>
  );
}

function Wires({ apart }: PartProps) {
  const { terminal } = apart.ready;
  return (
    <Group title="Wire">
      <label className="flex items-center gap-2 whitespace-nowrap">
        <span>from terminal</span>
        <input
          className="input num"
          size={4}
          value={terminal}
          onChange={(event) => apart.set({ terminal: event.target.value })}
        />
      </label>
      {WIRE_COLOURS.map(({ name }) => (
        <button
          key={name}
          type="button"
          className="btn btn-outline"
          aria-label={`Off: ${name} wire${terminal ? ` from ${terminal}` : ""}`}
          disabled={apart.isBusy}
          onClick={() => void apart.keep({ sort: "wire", what: "wire", colour: name })}
        >
          <Swatch name={name} />
          {name}
        </button>
      ))}
    </Group>
  );
}

/** The same in words: for what has no button, and for how tight and what glue. */
function InWords({ apart }: PartProps) {
  const { ready, set } = apart;
  const field = (key: "what" | "count" | "where" | "torque" | "adhesive", label: string, hint?: string) => (
    <Field label={label}>
      {(ids) => (
        <input
          {...ids}
          className={`input ${key === "count" ? "num" : ""}`}
          value={ready[key]}
          placeholder={hint}
          onChange={(event) => set({ [key]: event.target.value } as Partial<Ready>)}
        />
      )}
    </Field>
  );
  return (
    <form
      aria-label="Something else came off"
      className="mt-3 border-rule border-t pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        void apart.keep({ sort: ready.sort, what: ready.what });
      }}
    >
      <Choices<RemovedSort>
        legend="Or in words"
        name="sort"
        choices={SORTS}
        value={ready.sort}
        onChoose={(sort) => set({ sort })}
      />
      <div className="mt-2 grid gap-3 sm:grid-cols-[minmax(0,1fr)_110px_minmax(0,1fr)]">
        {field("what", "What", "hump screw")}
        {field("count", "How many")}
        {field("where", "Where it lies", "tray 2")}
      </div>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {field("torque", "How tight", "hand tight, 2 N·m")}
        {field("adhesive", "Glue or lock", "thread lock, sealant")}
      </div>
      <button type="submit" className="btn btn-outline mt-3" disabled={apart.isBusy}>
        It came off
      </button>
    </form>
  );
}

/** One tap for each thing as it comes off: how many and which tray first, then what it is. */
export function TookOff({ apart, isLoud }: PartProps & { readonly isLoud: boolean }) {
  const { ready, set, problem } = apart;
  return (
    <section
      aria-label="Something came off"
      className={`${isLoud ? "move" : "sheet"} mb-3 px-5 py-4`}
      data-testid="took-off"
    >
      <h2 className={isLoud ? "font-bold text-[28px] leading-tight" : "font-semibold text-lg"}>
        What comes off, one tap each
      </h2>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-2">
        <Choices
          legend="How many"
          name="count"
          choices={COUNTS}
          value={ready.count}
          onChoose={(count) => set({ count })}
        />
        <Choices
          legend="Into"
          name="tray"
          choices={TRAYS}
          value={ready.where}
          onChoose={(where) => set({ where })}
        />
      </div>
      <Group title="Screws">
        {DRIVES.map((drive) => (
          <OneTap
            key={drive}
            apart={apart}
            label={drive}
            line={
              drive === "nut"
                ? { sort: "fastener", what: "nut" }
                : { sort: "fastener", what: "screw", drive: `${drive} drive` }
            }
          />
        ))}
      </Group>
      <Group title="Small">
        {SMALL.map((line) => (
          <OneTap key={line.what} apart={apart} label={line.what} line={line} />
        ))}
      </Group>
      <Group title="Large">
        {LARGE.map((line) => (
          <OneTap key={line.what} apart={apart} label={line.what} line={line} />
        ))}
      </Group>
      <Wires apart={apart} />
      <InWords apart={apart} />
      <Problem text={problem} />
    </section>
  );
}
