import { useState } from "react";
import type { Asked } from "@/core/matching/asked.input";
import { parseMoney } from "@/core/quantity/money";
import type { Issue } from "@/core/result";
import { Problem } from "../fields/Problem";
import { TextField } from "../fields/TextField";
import { request } from "../state/api";
import { useDraft } from "../state/draft";
import { benchName, newId } from "../state/person";
import { shownMoney } from "./shown-money";

interface ShelveProps {
  readonly asked: Asked;
  readonly currency: string;
  /** The part of the price list that it is; null for one as it is described above. */
  readonly listed: { readonly id: string; readonly label: string; readonly priceMinor: number } | null;
}

interface ShelveDraft {
  readonly label: string;
  readonly place: string;
  readonly count: string;
  /** Undefined while the price list's own stands there. */
  readonly price?: string;
  readonly supplier: string;
  readonly isUsed: boolean;
  readonly machine: string;
  readonly tested: string;
}

const EMPTY: ShelveDraft = {
  label: "",
  place: "",
  count: "1",
  supplier: "",
  isUsed: false,
  machine: "",
  tested: "",
};

const at = (issues: readonly Issue[], path: string): string | undefined =>
  issues.find((one) => one.path === path)?.message;
const FIELDS: ReadonlySet<string> = new Set(["label", "place", "count", "price", "donor.machine"]);

/** A part that is put on the shelf: where, how many, at what price, and out of which machine where it was used before. */
export function ShelveIt({ asked, currency, listed }: ShelveProps) {
  const [draft, setDraft, clear] = useDraft<ShelveDraft>(`shelve:${listed?.id ?? asked.family}`, EMPTY);
  const [id, setId] = useState(newId);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [kept, setKept] = useState<string | undefined>(undefined);
  const set = (change: Partial<ShelveDraft>) => {
    setDraft({ ...draft, ...change });
    setKept(undefined);
  };
  const price = draft.price ?? (listed ? shownMoney(listed.priceMinor, currency) : "");
  const keep = async (): Promise<void> => {
    const minor = parseMoney(price, currency, "Price of one");
    if (!minor.ok) return setIssues(minor.issues.map((one) => ({ ...one, path: "price" })));
    const { place, supplier, isUsed, machine, tested } = draft;
    const answer = await request("POST /api/shelf", {
      body: {
        id,
        family: asked.family,
        listedId: listed?.id ?? null,
        label: draft.label,
        marking: listed ? "" : asked.marking,
        typed: listed ? [] : asked.typed,
        place: place.trim(),
        count: /^\d+$/.test(draft.count.trim()) ? Number(draft.count) : draft.count,
        priceMinor: minor.value,
        supplier,
        donor: isUsed ? { machine: machine.trim(), tested } : null,
        by: benchName(),
      },
    });
    setIssues(answer.ok ? [] : answer.issues);
    if (!answer.ok) return;
    setKept(`${draft.count} in ${place}.`);
    setId(newId());
    clear();
  };
  return (
    <form
      className="mt-2 grid gap-3 sm:grid-cols-2"
      aria-label="Put on the shelf"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      {listed ? null : (
        <TextField
          label="What it is called"
          className="sm:col-span-2"
          value={draft.label}
          error={at(issues, "label")}
          onType={(label) => set({ label })}
        />
      )}
      <TextField
        label="Place"
        hint="Drawer, box or hook."
        value={draft.place}
        error={at(issues, "place")}
        onType={(place) => set({ place })}
      />
      <TextField
        label="How many"
        isFigure
        value={draft.count}
        error={at(issues, "count")}
        onType={(count) => set({ count })}
      />
      <TextField
        label={`Price of one, ${currency}`}
        isFigure
        value={price}
        error={at(issues, "price")}
        onType={(next) => set({ price: next })}
      />
      <TextField label="Bought from" value={draft.supplier} onType={(supplier) => set({ supplier })} />
      <label className="chip w-fit sm:col-span-2">
        <input
          type="checkbox"
          className="sr-only"
          checked={draft.isUsed}
          onChange={(event) => set({ isUsed: event.target.checked })}
        />
        Used, out of a machine kept for parts
      </label>
      {draft.isUsed ? (
        <>
          <p className="font-semibold text-brass sm:col-span-2">
            That machine is unplugged and its capacitors are drained before anything comes out of it.
          </p>
          <TextField
            label="Which machine"
            value={draft.machine}
            error={at(issues, "donor.machine")}
            onType={(machine) => set({ machine })}
          />
          <TextField
            label="What was tested on it"
            hint="Nothing tested: no job can take it yet."
            value={draft.tested}
            onType={(tested) => set({ tested })}
          />
        </>
      ) : null}
      <div className="sm:col-span-2">
        <button type="submit" className="btn btn-outline">
          Put it on the shelf
        </button>
        {kept ? (
          <p role="status" className="mt-2 font-semibold text-verdigris">
            On the shelf: {kept}
          </p>
        ) : null}
        <Problem
          text={
            issues
              .filter(({ path }) => !FIELDS.has(path))
              .map(({ message }) => message)
              .join(" ") || undefined
          }
        />
      </div>
    </form>
  );
}
