import { useStore } from "@nanostores/react";
import { atom } from "nanostores";
import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import { WAKING } from "./awake";

/** The job on screen: replaced by what the server answered, never changed in place. */
export const $job = atom<JobView | null>(null);

/** An answer that was overtaken by a newer one changes nothing. */
export function setNewer(view: JobView): void {
  const current = $job.get();
  if (current?.jobId === view.jobId && current.seq > view.seq) return;
  $job.set(view);
}

/** The view that is further on. */
function newerOf(fromPage: JobView, current: JobView | null): JobView {
  return current?.jobId === fromPage.jobId && current.seq > fromPage.seq ? current : fromPage;
}

const isBrowser = typeof window !== "undefined";

/** The job of this page: as the server drew it while the page wakes up, then as the tab knows it and as entries make it. */
export function useJob(fromPage: JobView): JobView {
  useState(() => {
    if (isBrowser) $job.set(newerOf(fromPage, $job.get()));
    return null;
  });
  const current = useStore($job, WAKING);
  return current?.jobId === fromPage.jobId ? current : fromPage;
}
