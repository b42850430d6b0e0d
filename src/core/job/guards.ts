import type { BenchNeed, Limits } from "../knowledge/types";
import { type Issue, issue } from "../result";
import { asSeen, type BenchGap, gapsFor, isPlugFresh, type Watch } from "../safety/bench-state";
import type { OffLine } from "./back-together";
import type { AcceptanceRun, Entry, FollowUp, NewEntry, Pin, Pinned, Refitted } from "./entry";
import { struckSeqs } from "./log";
import { isWhole } from "./put-back";
import type { JobView } from "./reduce";

/** Who posts, when, from which screen, and what the reading's move needs. */
export interface GuardContext {
  readonly by: string;
  readonly now: string;
  readonly watch: Watch | undefined;
  readonly need: BenchNeed;
  readonly limits: Limits;
  /** Calendar day of `now` in the shop's zone. */
  readonly today: string;
}

const GAP_WORDS: Readonly<Record<BenchGap, string>> = {
  plug: "say where the plug is",
  battery: "take the battery out",
  charge: "read the volts on each capacitor, or leave the clip on",
  springs: "hold the springs",
  "lifted-load": "prop the lifted load",
  belt: "hold the belt",
};

function guardReading(
  view: JobView,
  entry: Extract<NewEntry, { kind: "reading" | "answer" }>,
  context: GuardContext,
): Issue[] {
  if (entry.payload.taken === "afterwards") return [];
  const isFresh = isPlugFresh(view.plugFacts, context.watch, context.by, context.now, context.limits);
  const gaps = gapsFor(asSeen(view.bench, isFresh), context.need, view.machine, context.now, context.limits);
  if (gaps.length === 0) return [];
  const toDo = gaps.map((gap) => GAP_WORDS[gap]).join("; ");
  return [
    issue(
      "payload",
      "guard/bench-state",
      `The bench state does not allow this reading yet: ${toDo}. If it was taken already, keep it as "entered afterwards".`,
      gaps,
    ),
  ];
}

/** Whether a later line means nothing without this one. */
function standsOn(entry: Entry, target: Entry): boolean {
  switch (target.kind) {
    case "removed":
      return entry.kind === "refitted" && entry.payload.line === target.seq;
    case "picture":
      return (
        (entry.kind === "pinned" && entry.payload.picture === target.seq) ||
        (entry.kind === "removed" && entry.payload.pin?.picture === target.seq)
      );
    case "follow-up":
      return entry.kind === "followed-up" && entry.payload.line === target.seq;
    case "signed-off":
      return entry.kind === "reopened" && entry.seq > target.seq;
    default:
      return false;
  }
}

/** Later lines that stand on this one: they would hang in the air without it. */
function dependants(entries: readonly Entry[], target: Entry): number[] {
  const struck = struckSeqs(entries);
  const standing = entries.filter(({ seq }) => !struck.has(seq) && seq !== target.seq);
  if (target.kind === "taken-in") {
    const hasAnother = standing.some(({ kind }) => kind === "taken-in");
    return hasAnother ? [] : standing.filter(({ seq }) => seq > target.seq).map(({ seq }) => seq);
  }
  return standing.filter((entry) => standsOn(entry, target)).map(({ seq }) => seq);
}

function guardStrike(entries: readonly Entry[], seq: number): Issue[] {
  const target = entries.find((entry) => entry.seq === seq);
  if (!target)
    return [
      issue("payload.seq", "guard/no-such-line", `There is no line ${seq} in this job to strike out.`, seq),
    ];
  if (target.kind === "struck" || target.kind === "restored")
    return [
      issue(
        "payload.seq",
        "guard/not-strikable",
        `Line ${seq} is itself a strike or a restoration: restore line ${target.payload.seq} instead.`,
        seq,
      ),
    ];
  if (struckSeqs(entries).has(seq))
    return [issue("payload.seq", "guard/already-struck", `Line ${seq} is struck out already.`, seq)];
  if (target.kind === "taken-in" && !entries.some((entry) => entry.kind === "taken-in" && entry.seq !== seq))
    return [
      issue(
        "payload.seq",
        "guard/stands-under",
        `Line ${seq} took the machine in: correct it in Take in instead of striking it out.`,
        seq,
      ),
    ];
  const later = dependants(entries, target);
  if (later.length > 0)
    return [
      issue(
        "payload.seq",
        "guard/stands-under",
        `Line ${seq} cannot be struck out: lines ${later.join(", ")} stand on it.`,
        seq,
      ),
    ];
  return [];
}

function guardRestore(view: JobView, entries: readonly Entry[], seq: number): Issue[] {
  if (!struckSeqs(entries).has(seq))
    return [issue("payload.seq", "guard/not-struck", `Line ${seq} is not struck out.`, seq)];
  const target = entries.find((entry) => entry.seq === seq);
  if (target?.kind === "refitted") return guardRefit(view, target.payload);
  if (target?.kind === "followed-up") return guardFollowedUp(view, target.payload.line);
  return [];
}

/** Only what came off, and is not back yet, can be put back. */
function guardRefit(view: JobView, { line, count }: Refitted): Issue[] {
  const off = view.removed.find(({ seq }) => seq === line);
  if (!off)
    return [
      issue("payload.line", "guard/not-off", `Line ${line} took nothing off that could go back.`, line),
    ];
  if (off.refit)
    return [
      issue(
        "payload.line",
        "guard/back-already",
        `${off.what} is back already, by line ${off.refit.seq}: it was ticked by ${off.refit.by}.`,
        line,
      ),
    ];
  if (count !== null && count > off.left)
    return [
      issue(
        "payload.count",
        "guard/too-many",
        `${count} cannot go back: ${off.left} of ${off.count} ${off.what} are still off.`,
        count,
      ),
    ];
  return [];
}

/** A pin stands on a picture of this job. */
function guardPin(view: JobView, pin: Pin | null, path: string): Issue[] {
  if (pin === null || view.pictures.some(({ seq }) => seq === pin.picture)) return [];
  return [issue(path, "guard/no-picture", `Line ${pin.picture} is no picture of this job.`, pin.picture)];
}

function guardPinned(view: JobView, pinned: Pinned): Issue[] {
  const isOff = view.removed.some(({ seq }) => seq === pinned.line);
  const noLine = isOff
    ? []
    : [
        issue(
          "payload.line",
          "guard/not-off",
          `Line ${pinned.line} took nothing off that a pin could show.`,
          pinned.line,
        ),
      ];
  return [...noLine, ...guardPin(view, pinned, "payload.picture")];
}

/** An order names lines that came off, each once. */
function guardOrder(view: JobView, lines: readonly number[]): Issue[] {
  const off = new Set(view.removed.map(({ seq }) => seq));
  const stray = lines.filter((line, index) => !off.has(line) || lines.indexOf(line) !== index);
  if (stray.length === 0) return [];
  return [
    issue(
      "payload.lines",
      "guard/not-an-order",
      `Lines ${stray.join(", ")} took nothing off, or are named twice: an order names each line that came off once.`,
      stray,
    ),
  ];
}

/** A day to come back on is today or later. */
function guardFollowUp({ onDay }: FollowUp, today: string): Issue[] {
  if (onDay === null || onDay >= today) return [];
  return [
    issue(
      "payload.onDay",
      "guard/past-day",
      `${onDay} is past: today is ${today} here. Choose today or later, or leave the day out.`,
      onDay,
    ),
  ];
}

function guardFollowedUp(view: JobView, line: number): Issue[] {
  const promise = view.followUps.find(({ seq }) => seq === line);
  if (!promise)
    return [issue("payload.line", "guard/no-promise", `Line ${line} is nothing to look at again.`, line)];
  if (!promise.done) return [];
  return [
    issue(
      "payload.line",
      "guard/done-already",
      `Line ${line} was looked at again already, by line ${promise.done.seq}, ${promise.done.by}.`,
      line,
    ),
  ];
}

function guardReopened(view: JobView): Issue[] {
  if (view.signedOff) return [];
  return [issue("payload", "guard/not-signed-off", "This job is open: it is not signed off.")];
}

/** No run before all is back and the covers are on; a run made already can always be written down. */
function guardRun(view: JobView, { taken }: AcceptanceRun): Issue[] {
  if (taken === "afterwards" || isWhole(view)) return [];
  const open = view.bench.opened.map((access) => `close the ${access}`);
  const off = view.removed.filter(({ refit }) => refit === null).map(({ what }) => `put back: ${what}`);
  return [
    issue(
      "payload",
      "guard/not-whole",
      `Covers come on before power: ${[...open, ...off].join("; ")}. If it was run already, keep it as "entered afterwards".`,
      [...open, ...off],
    ),
  ];
}

/** @example "wave washer (line 7)", "2 of 4 screws (line 9)" */
function missing({ what, seq, count, left }: OffLine): string {
  return `${count > 1 ? `${left} of ${count} ` : ""}${what} (line ${seq})`;
}

function guardSignOff(view: JobView): Issue[] {
  const off = view.removed.filter(({ refit }) => refit === null);
  if (off.length === 0) return [];
  return [
    issue(
      "payload",
      "guard/parts-off",
      `It cannot leave yet, not back: ${off.map(missing).join(", ")}. Put it back, or say that it is left out and why.`,
      off.map(({ seq }) => seq),
    ),
  ];
}

/** Whether an entry may be appended to this log now; every reason why not. */
export function guardEntry(
  view: JobView,
  entries: readonly Entry[],
  entry: NewEntry,
  context: GuardContext,
): Issue[] {
  switch (entry.kind) {
    case "reading":
    case "answer":
      return guardReading(view, entry, context);
    case "struck":
      return guardStrike(entries, entry.payload.seq);
    case "restored":
      return guardRestore(view, entries, entry.payload.seq);
    case "refitted":
      return guardRefit(view, entry.payload);
    case "removed":
      return guardPin(view, entry.payload.pin, "payload.pin");
    case "pinned":
      return guardPinned(view, entry.payload);
    case "reordered":
      return guardOrder(view, entry.payload.lines);
    case "follow-up":
      return guardFollowUp(entry.payload, context.today);
    case "followed-up":
      return guardFollowedUp(view, entry.payload.line);
    case "reopened":
      return guardReopened(view);
    case "acceptance-run":
      return guardRun(view, entry.payload);
    case "signed-off":
      return guardSignOff(view);
    default:
      return [];
  }
}
