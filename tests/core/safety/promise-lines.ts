import { EMPTY_BILL_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { Complaint, MoveAnswer, NewEntry, TakenIn } from "@/core/job/log/entry";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { guardEntry } from "@/log/guards";
import { CARDER, check, type Line, logOf, T0, viewOf } from "../job/entries";
import { KNOWLEDGE, LIMITS, LIVE_SHOP, SIGN_OFF } from "../shop-context";

/** Promises of SAFETY that were once broken, each by its name. */
export const ALWAYS: Complaint = { signs: ["hum"], circumstance: "always", afterMinutes: null, words: "" };
export const took = (change: Partial<TakenIn> = {}): Line => [
  "taken-in",
  {
    ...CARDER,
    machine: "Apple press",
    hasNone: ["springs-or-weight", "blades-or-rollers", "heat-or-pressure"],
    ...change,
  },
];
export const told = (change: Partial<Complaint> = {}): Line => ["complaint", { ...ALWAYS, ...change }];
export const CHECKED: readonly Line[] = ["look-and-cord", "earth-continuity", "insulation"].map(
  (id): Line => ["reading", check(id)],
);
export const PLUGGED: Line = ["bench-state", { event: "plugged-in", outlet: "residual-current" }];
export const FIT: Line = [
  "intervention",
  {
    repair: "",
    label: "Start capacitor fitted",
    faultIds: ["start-capacitor-low"],
    success: 0.97,
    seen: null,
    part: "none",
    taken: "afterwards",
  },
];
export const answer = (moveId: string, outcomeId: string, taken: MoveAnswer["taken"] = "now"): Line => [
  "answer",
  { moveId, outcomeId, circumstance: "cold", taken, why: "" },
];
export const off = (sort: "cover" | "wire", what: string): Line => [
  "removed",
  { sort, what, count: 1, where: "", ...EMPTY_REMOVED_FACTS },
];
export const read = (volts: number, id: "start" | "run" | "bus" | "suppressor" = "start"): Line => [
  "bench-state",
  { event: "stored-volts", id, volts, dielectric: "film" },
];
export const START: readonly Line[] = [took(), told()];
export const READY: readonly Line[] = [...START, ...CHECKED, PLUGGED];

export const SIGNED: Line = [
  "signed-off",
  {
    word: "not-yet-proven",
    unproven: [],
    minutes: 1,
    labourMinor: 0,
    partsMinor: 0,
    watch: "",
    ...EMPTY_BILL_FACTS,
  },
];

/** What is refused of a line now: the codes of what is missing. */
export function missing(lines: readonly Line[], entry: Line): unknown {
  const log = logOf(...lines);
  const now = new Date(T0 + log.length * 60_000).toISOString();
  const [kind, payload] = entry;
  const move = kind === "answer" ? KNOWLEDGE.moves.find(({ id }) => id === payload.moveId) : undefined;
  return guardEntry(viewOf(log), log, { kind, payload } as NewEntry, {
    by: "left bench",
    now,
    watch: { settledSeq: log.length, touchedAt: now },
    need: move?.needs ?? "none",
    power: move?.power ?? (kind === "acceptance-run" ? "guards-on" : "off"),
    live: LIVE_SHOP,
    limits: LIMITS,
    today: "2026-11-25",
  })[0]?.given;
}

export const RUN = answer("switch-on", "runs");
export const MEASURED = answer("volts-at-motor", "full");
export const wordOf = (...lines: readonly Line[]) => signOffWord(viewOf(logOf(...lines)), SIGN_OFF);
