import { useStore } from "@nanostores/react";
import { map } from "nanostores";
import { useEffect } from "react";
import type { Standing } from "@/core/job/standing";
import { isPlugFresh, type Watch } from "@/core/safety/plug-watch";
import type { Shop } from "@/core/shop/shop";
import { WAKING } from "./awake";
import { benchName } from "./person";
import { keep, kept } from "./storage";

const KEY = "good-spindle:watch";
const TOUCH_EVERY_MS = 2000;

/** For each job, when this tab last settled its plug and was last touched: a claim of this tab and of the minutes since. */
export const $watches = map<Record<string, Watch>>({});
let isLoaded = false;

function isWatch(given: unknown): given is Watch {
  if (typeof given !== "object" || given === null) return false;
  const { settledSeq, touchedAt }: { settledSeq?: unknown; touchedAt?: unknown } = given;
  return Number.isInteger(settledSeq) && typeof touchedAt === "string";
}

function save(): void {
  keep("tab", KEY, $watches.get());
}

/** A page that is loaded again finds what this tab knew, with the moment of its last touch: too long ago, it counts for nothing. */
function load(): void {
  if (isLoaded) return;
  isLoaded = true;
  const found = kept("tab", KEY);
  // What is no watch of ours claims nothing.
  const known = Object.entries(found ?? {}).filter(([, watch]) => isWatch(watch));
  if (known.length > 0) $watches.set(Object.fromEntries(known));
}

/** Another tab or device wrote in this job: where its plug is, is not known here any more. */
export function dropWatch(jobId: number): void {
  const { [String(jobId)]: dropped, ...others } = $watches.get();
  if (!dropped) return;
  $watches.set(others);
  save();
}

export function settlePlug(jobId: number, seq: number): void {
  $watches.setKey(String(jobId), { settledSeq: seq, touchedAt: new Date().toISOString() });
  save();
}

function touch(jobId: number): void {
  const watch = $watches.get()[String(jobId)];
  const now = Date.now();
  if (!watch || now - Date.parse(watch.touchedAt) < TOUCH_EVERY_MS) return;
  $watches.setKey(String(jobId), { ...watch, touchedAt: new Date(now).toISOString() });
  save();
}

export function watchOf(jobId: number): Watch | undefined {
  return $watches.get()[String(jobId)];
}

/** Loads the watches of this tab, and on a job's page counts every touch and key. */
export function useTouches(jobId: number | undefined, isStillFresh: () => boolean): void {
  useEffect(() => {
    load();
    if (jobId === undefined) return;
    // A touch after the lapse settles nothing: it only keeps alive what is still known.
    const onTouch = (): void => {
      if (isStillFresh()) touch(jobId);
    };
    document.addEventListener("pointerdown", onTouch);
    document.addEventListener("keydown", onTouch);
    return () => {
      document.removeEventListener("pointerdown", onTouch);
      document.removeEventListener("keydown", onTouch);
    };
  }, [jobId, isStillFresh]);
}

/** Whether this tab still knows where the plug of a job is. */
export function useWatches(): (
  view: Pick<Standing, "jobId" | "plugFacts">,
  now: string,
  limits: Shop["limits"],
) => boolean {
  const watches = useStore($watches, WAKING);
  return (view, now, limits) => {
    const watch = watches[String(view.jobId)];
    return (
      watch !== undefined &&
      isPlugFresh(view.plugFacts, watch, benchName(), later(now, watch.touchedAt), limits)
    );
  };
}

/** The clock of the screen ticks each second and may lag behind the last touch. */
function later(one: string, other: string): string {
  return one > other ? one : other;
}
