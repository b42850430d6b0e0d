import { useState } from "react";
import type { Issue } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import type { Finding } from "@/core/tools/finding.input";
import { LEADS_FIELD } from "@/core/tools/leads";
import type { Tool } from "@/core/tools/tool";
import { type ToolDraft, textOf } from "@/drawing/typed";
import { type ReadingFieldModel, useReadingField } from "../fields/use-reading-field";
import { useDraft } from "../state/draft";
import { type Given, inputOf, isAsked } from "./draft";
import { fromMarking } from "./from-marking";
import { useWorkedOut } from "./use-worked-out";

export type Taken = "now" | "afterwards";

/** Where a reading goes, and what may stand before it. */
export interface Target {
  /** Whether something must be settled first, such as the plug that is no longer known. */
  isGated(): boolean;
  keep(input: Readonly<Record<string, unknown>>, taken: Taken): Promise<readonly Issue[]>;
}

interface SheetContext {
  readonly tool: Tool;
  readonly draftKey: string;
  readonly given: Given;
  readonly shop: Shop;
  readonly target: Target;
}

export interface ToolSheetModel {
  readonly tool: Tool;
  readonly draft: ToolDraft;
  readonly given: Given;
  readonly input: Readonly<Record<string, unknown>>;
  readonly finding: Finding | undefined;
  /** Share that is done, while the finding takes long. */
  readonly progress: number | undefined;
  cancel(): void;
  /** Whether anything that the verdict is about was typed. */
  readonly isBegun: boolean;
  /** The reading that the sheet is about, where it is one. */
  readonly reading: { readonly id: string; readonly model: ReadingFieldModel } | undefined;
  /** The first thing that still keeps the reading from a verdict. */
  readonly missing: string | undefined;
  readonly isGated: boolean;
  readonly problem: string | undefined;
  /** What is wrong with a field that something was typed into. */
  problemOf(path: string): string | undefined;
  set(change: ToolDraft): void;
  tryKeep(): void;
  keep(taken: Taken): Promise<void>;
  settled(): void;
}

function issueAt(issues: readonly Issue[], path: string): string | undefined {
  return issues.find((one) => one.path === path || one.path.startsWith(`${path}.`))?.message;
}

function isEmpty(draft: ToolDraft, id: string): boolean {
  const value = draft[id];
  return value === undefined || (typeof value === "string" ? value.trim() === "" : value.length === 0);
}

/** The first issue in the order of the fields, or what its field asks for while it is empty. */
function missingOf(issues: readonly Issue[], draft: ToolDraft, { fields }: Tool): string | undefined {
  const order = Object.keys(fields);
  const fieldOf = ({ path }: Issue): string => path.split(".")[0] ?? "";
  const [first] = [...issues].sort(
    (one, other) => order.indexOf(fieldOf(one)) - order.indexOf(fieldOf(other)),
  );
  if (!first) return undefined;
  const id = fieldOf(first);
  return (isEmpty(draft, id) ? fields[id]?.ask : undefined) ?? first.message;
}

function mainOf({ fields }: Tool): [id: string, field: Tool["fields"][string]][] {
  return Object.entries(fields).filter(([, { place }]) => place === "main");
}

/** What the next reading needs anew: everything that stands beside the verdict; marking and meter stay. */
function cleared(tool: Tool, draft: ToolDraft): ToolDraft {
  const gone = Object.entries(tool.fields).filter(
    ([, { kind, place, once }]) => once === true || (place === "main" && kind !== "choice"),
  );
  const ids = new Set(gone.map(([id]) => id));
  return Object.fromEntries(Object.entries(draft).filter(([id]) => !ids.has(id)));
}

const hasLeads = ({ fields }: Tool): boolean =>
  Object.values(fields).some((field) => "hasLeads" in field && field.hasLeads);

/** What the job has in the place of an empty field. */
function filledWith({ fill }: Tool["fields"][string], { marking, supply, plate }: Given): string | undefined {
  if (fill === "part-marking") return marking ?? "";
  if (fill === "supply") return supply ?? "";
  return fill === "plate" ? plate : undefined;
}

/** State of a tool's sheet, in a job, on Isolate and on its own: the one way to keep a reading. No markup. */
export function useToolSheet({ tool, draftKey, given, shop, target }: SheetContext): ToolSheetModel {
  const [kept, setDraft] = useDraft<ToolDraft>(`tool:${tool.id}:${draftKey}`, {});
  const [isGated, setIsGated] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const filled = Object.entries(tool.fields)
    .filter(([id]) => kept[id] === undefined)
    .flatMap(([id, field]) => {
      const text = filledWith(field, given);
      return text === undefined ? [] : [[id, text]];
    });
  const { leadOhms } = shop.settings;
  const leads =
    kept[LEADS_FIELD] === undefined && leadOhms !== "" && hasLeads(tool) ? { [LEADS_FIELD]: leadOhms } : {};
  const handed = Object.keys(kept).length === 0 ? fromMarking(tool, given.marking) : {};
  const draft: ToolDraft = { ...leads, ...kept, ...handed, ...Object.fromEntries(filled) };
  const set = (change: ToolDraft): void => setDraft({ ...draft, ...change });
  const [readingId, readingSpec] = mainOf(tool).find(([, { kind }]) => kind === "reading") ?? [];
  const model = useReadingField({
    quantity: readingSpec?.kind === "reading" ? readingSpec.quantity : "resistance",
    label: readingSpec?.label ?? "",
    text: readingId === undefined ? "" : textOf(draft, readingId),
    onText: (text) => readingId !== undefined && set({ [readingId]: text }),
  });
  const input = inputOf(draft, tool.fields, given, shop.settings.instruments);
  const { result, progress, cancel } = useWorkedOut(tool, input, shop);
  const issues = !result || result.ok ? [] : result.issues;
  const missing = missingOf(issues, draft, tool);
  const main = mainOf(tool);
  const isFree = main.every(([, { optional, kind }]) => optional === true || kind === "choice");
  // Where nothing beside the verdict is needed for it, the verdict comes with the first thing that is said.
  const isBegun = isFree
    ? result?.ok === true && Object.keys({ ...kept, ...handed }).some((id) => !isEmpty(draft, id))
    : main.some(([id, { kind }]) => kind !== "choice" && !isEmpty(draft, id));
  const object = (said: readonly Issue[]): void => {
    if (readingId === undefined) setProblem(said.map(({ message }) => message).join(" "));
    else model.object(said);
  };
  const keep = async (taken: Taken): Promise<void> => {
    const isTyped = readingId !== undefined && textOf(draft, readingId).trim() !== "";
    if (readingId !== undefined && (isTyped || readingSpec?.optional !== true) && model.take() === undefined)
      return;
    if (result?.ok === false) return object([{ path: "", code: "sheet/incomplete", message: missing ?? "" }]);
    const refused = await target.keep(input, taken);
    const isRefused = refused.some(({ code }) => code === "guard/bench-state");
    setIsGated(isRefused);
    setProblem(undefined);
    if (refused.length === 0) setDraft(cleared(tool, draft));
    else if (!isRefused) object(refused);
  };
  return {
    tool,
    draft,
    given,
    input,
    finding: result?.ok ? result.value : undefined,
    progress,
    cancel,
    isBegun,
    reading: readingId === undefined ? undefined : { id: readingId, model },
    missing,
    isGated,
    problem,
    problemOf: (path) => {
      const id = path.split(".")[0] ?? "";
      const field = tool.fields[id];
      const isThere = id === LEADS_FIELD || (field && isAsked(field, draft, tool.fields, given));
      return isThere && !isEmpty(draft, path) ? issueAt(issues, path) : undefined;
    },
    set,
    tryKeep: () => {
      if (result?.ok !== false && isBegun && target.isGated()) setIsGated(true);
      else void keep("now");
    },
    keep,
    settled: () => setIsGated(false),
  };
}
