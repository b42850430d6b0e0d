import type { Complaint, FollowUp, MotorPlate, NewEntry, OwnerAnswer, TakenIn } from "@/core/job/entry";
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
  readonly takenIn: Omit<TakenIn, "ownerId">;
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
  text,
});

export const machine = (
  name: string,
  place: string,
  family: string,
  rest: Partial<Omit<TakenIn, "ownerId">> = {},
): Omit<TakenIn, "ownerId"> => ({
  machine: name,
  tag: "",
  place,
  family,
  protectionClass: "class-1",
  connection: "plug",
  heater: "no",
  ceilingMinor: null,
  history: "",
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
export const opened = (minute: number, access: string) => line(minute, "make-safe", "opened", { access });
export const marked = (minute: number, id: "start" | "run", mark: string) =>
  line(minute, "make-safe", "nameplate", { plate: "capacitor", id, mark });
export const note = (minute: number, stage: Stage, text: string) => line(minute, stage, "note", { text });
export const asked = (minute: number, payload: OwnerAnswer) =>
  line(minute, "take-in", "owner-answer", payload);
export const followUp = (minute: number, payload: FollowUp) => line(minute, "measure", "follow-up", payload);
export const measured = (minute: number, moveId: string, input: object) =>
  line(minute, "measure", "reading", {
    of: "tool",
    toolId: "capacitor-against-mark",
    moveId,
    input,
    taken: "now",
  });
