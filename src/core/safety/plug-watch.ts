import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";

/** Whoever looks: when the screen was last touched since its plug was settled; undefined after a reload. */
export interface Watch {
  readonly settledSeq: number;
  readonly touchedAt: string;
}

/** What the log says about the plug, and whose it is. */
export interface PlugFacts {
  /** Sequence number of the last entry about the plug; 0 when there is none. */
  readonly plugSeq: number;
  /** Line since which no power came, as far as the log says: what was typed before it is of another moment. */
  readonly powerSeq: number;
  /** Who made each entry after a given one matters, as another person's entry makes the plug not known. */
  readonly lastSeqBy: Readonly<Record<string, number>>;
}

/** Whether this screen still knows the plug as it was settled. */
export function isPlugFresh(
  facts: Pick<PlugFacts, "plugSeq" | "lastSeqBy">,
  watch: Watch | undefined,
  by: string,
  now: string,
  limits: Limits,
): boolean {
  if (!watch || facts.plugSeq === 0 || watch.settledSeq < facts.plugSeq) return false;
  const untouched = (Date.parse(now) - Date.parse(watch.touchedAt)) / 1000;
  if (!(untouched >= 0) || untouched > limitOf(limits, "bench-untouched").value) return false;
  return Object.entries(facts.lastSeqBy).every(([who, seq]) => who === by || seq <= watch.settledSeq);
}
