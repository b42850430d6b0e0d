import type { RouteId } from "@/core/decision/routes";
import {
  EMPTY_DOOR_FACTS,
  EMPTY_FOLLOW_UP_FACTS,
  EMPTY_PLATE_FACTS,
  EMPTY_REFITTED_FACTS,
  EMPTY_REMOVED_FACTS,
} from "@/core/job/log/empty-facts";
import type {
  AcceptanceRun,
  Complaint,
  FollowUp,
  MotorPlate,
  NewEntry,
  OwnerAnswer,
  Picture,
  Removed,
  TakenIn,
} from "@/core/job/log/entry";
import type { Stage } from "@/core/job/stages";

/** One posted line of a demo job: minutes before (negative) the anchor, and what was posted. */
export interface StoryLine {
  readonly minute: number;
  readonly stage: Stage;
  readonly kind: NewEntry["kind"];
  readonly payload: Readonly<Record<string, unknown>>;
}

export interface Story {
  readonly seed: number;
  readonly by: string;
  readonly minute: number;
  readonly owner: { readonly name: string; readonly contact: string };
  readonly takenIn: Omit<TakenIn, "ownerId" | "carried">;
  readonly complaint: Complaint;
  readonly plate: MotorPlate | null;
  readonly lines: readonly StoryLine[];
}

export const plate = (
  volts: string,
  hertz: string,
  amps: string,
  power: string,
  speed: string,
  text = "",
): MotorPlate => ({
  plate: "motor",
  volts,
  hertz,
  amps,
  power,
  speed,
  ...EMPTY_PLATE_FACTS,
  text,
});

export const machine = (
  name: string,
  place: string,
  family: string,
  rest: Partial<Omit<TakenIn, "ownerId" | "carried">> = {},
): Omit<TakenIn, "ownerId" | "carried"> => ({
  machine: name,
  tag: "",
  place,
  family,
  protectionClass: "class-1",
  connection: "plug",
  heater: "no",
  ceilingMinor: null,
  history: "",
  ...EMPTY_DOOR_FACTS,
  ...rest,
});

export const complaint = (
  signs: readonly string[],
  circumstance: Complaint["circumstance"],
  words: string,
): Complaint => ({
  signs,
  circumstance,
  afterMinutes: null,
  words,
});

const line = (minute: number, stage: Stage, kind: NewEntry["kind"], payload: object): StoryLine => ({
  minute,
  stage,
  kind,
  payload: payload as StoryLine["payload"],
});

export const looked = (minute: number, entered = "sound") =>
  line(minute, "make-safe", "reading", { of: "dead-check", checkId: "look-and-cord", entered, taken: "now" });
export const earthed = (minute: number, entered: string) =>
  line(minute, "make-safe", "reading", {
    of: "dead-check",
    checkId: "earth-continuity",
    entered,
    taken: "now",
  });
export const insulated = (minute: number, entered: string) =>
  line(minute, "make-safe", "reading", { of: "dead-check", checkId: "insulation", entered, taken: "now" });
export const unplugged = (minute: number, evidence = "plug-in-sight") =>
  line(minute, "make-safe", "bench-state", { event: "unplugged", evidence });
export const bench = (minute: number, payload: object) => line(minute, "make-safe", "bench-state", payload);
export const opened = (minute: number, access: string) =>
  line(minute, "make-safe", "opened", { access, is: "capacitor-cover", taken: "afterwards" });
export const marked = (minute: number, id: "start" | "run", mark: string) =>
  line(minute, "make-safe", "nameplate", { plate: "capacitor", id, mark });
export const note = (minute: number, stage: Stage, text: string) => line(minute, stage, "note", { text });
export const asked = (
  minute: number,
  payload: Pick<OwnerAnswer, "question" | "answer" | "means"> & Partial<OwnerAnswer>,
) => line(minute, "take-in", "owner-answer", payload);
export const followUp = (minute: number, payload: Partial<FollowUp> & Pick<FollowUp, "what">) =>
  line(minute, "measure", "follow-up", { ...EMPTY_FOLLOW_UP_FACTS, ...payload });
export const answered = (minute: number, moveId: string, outcomeId: string, taken = "now") =>
  line(minute, "isolate", "answer", { moveId, outcomeId, circumstance: "cold", taken });
export const chosen = (minute: number, forPart: string, partId: string) =>
  line(minute, "match", "part-chosen", { forPart, partId, asked: null });
export const priced = (minute: number, of: string, minor: number) =>
  line(minute, "decide", "priced", { of, minor });
export const decided = (minute: number, route: RouteId) =>
  line(minute, "decide", "decision", { route, overrideWhy: "" });
export const tookOff = (
  minute: number,
  sort: Removed["sort"],
  what: string,
  count: number,
  where: string,
  more: Partial<Removed> = {},
) => line(minute, "put-back", "removed", { sort, what, count, where, ...EMPTY_REMOVED_FACTS, ...more });
/** A picture drawn for the demo, by its name; its hash is known once it is kept. */
export const pictured = (minute: number, of: Picture["of"], demo: string) =>
  line(minute, "put-back", "picture", { of, words: "", sha256: demo, width: 1, height: 1 });
export const repaired = (minute: number, repair: string) =>
  line(minute, "put-back", "intervention", { repair, taken: "afterwards" });
export const backOn = (minute: number, seq: number) =>
  line(minute, "put-back", "refitted", { line: seq, how: "back", ...EMPTY_REFITTED_FACTS });
export const closed = (minute: number, access: string) =>
  line(minute, "put-back", "closed", { access, taken: "afterwards" });
export const ran = (minute: number, run: Omit<AcceptanceRun, "taken">) =>
  line(minute, "sign-off", "acceptance-run", { ...run, taken: "now" });
export const signedOff = (minute: number, minutes: number, partsMinor: number, watch: string) =>
  line(minute, "sign-off", "signed-off", { minutes, partsMinor, watch });
export const measured = (minute: number, moveId: string, input: object) =>
  line(minute, "measure", "reading", {
    of: "tool",
    toolId: "capacitor-against-mark",
    moveId,
    input,
    taken: "now",
  });
