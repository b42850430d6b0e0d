import { connect } from "node:net";
import { type MeterLine, parseMeterLine, typedOf } from "@/core/quantity/meter-line";
import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";

/** Where a meter listens, if one was said. */
export function meterPath(): string | undefined {
  const path = process.env["GOOD_SPINDLE_METER"];
  return path === undefined || path === "" ? undefined : path;
}

export interface MeterAsked {
  readonly quantity: QuantityId;
  /** Points that the probes touch, by name; empty where there is but one place. */
  readonly a: string;
  readonly b: string;
}

export interface MeterListener {
  reading(line: MeterLine, typed: string): void;
  /** It shows something else than what was asked: what it showed before stands no longer. */
  unfit(why: string): void;
  /** It will say no more: another screen has it, or it went away. */
  ended(why: string): void;
}

/** The screen that has the meter: one at a time. */
let held: (() => void) | undefined;

const named = (point: string): string => point.replace(/[^\p{L}\p{N}_/-]/gu, "").slice(0, 20);

const notAsked = (shows: QuantityId, asked: QuantityId): string =>
  `The meter shows ${QUANTITIES[shows].label}, not ${QUANTITIES[asked].label}: turn its knob.`;

/** Listens to the meter until the caller ends it, another screen asks for it, or it goes away. */
export function listenToMeter({ quantity, a, b }: MeterAsked, listener: MeterListener): () => void {
  const path = meterPath();
  if (path === undefined) {
    listener.ended("No meter is set up.");
    return () => undefined;
  }
  held?.();
  const socket = connect(path);
  let isOver = false;
  const finish = (why: string): void => {
    if (isOver) return;
    isOver = true;
    if (held === take) held = undefined;
    socket.destroy();
    listener.ended(why);
  };
  const take = (): void => finish("Another screen has the meter now.");
  held = take;
  let rest = "";
  socket.setEncoding("utf8");
  socket.on("connect", () => socket.write(`MEASURE ${quantity} ${named(a)} ${named(b)}\n`));
  socket.on("data", (piece: string) => {
    const lines = `${rest}${piece}`.slice(-8192).split("\n");
    rest = lines.pop() ?? "";
    for (const text of lines) {
      if (text.startsWith("NONE ")) return finish("The meter has no such range.");
      // Its greeting, and whatever else it says of itself, is not a reading.
      if (!text.startsWith("READ")) continue;
      const line = parseMeterLine(text);
      if (!line.ok) listener.unfit(line.issues[0]?.message ?? "");
      else if (line.value.quantity === quantity) listener.reading(line.value, typedOf(line.value));
      else listener.unfit(notAsked(line.value.quantity, quantity));
    }
  });
  socket.on("error", () => finish("The meter does not answer."));
  socket.on("close", () => finish("The meter went away."));
  return () => finish("Ended.");
}
