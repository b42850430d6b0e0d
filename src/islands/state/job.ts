import { useStore } from "@nanostores/react";
import { atom } from "nanostores";
import { useState } from "react";
import type { JobView } from "@/core/job/log/view";

/** The job on screen: replaced by what the server answered, never changed in place. */
export const $job = atom<JobView | null>(null);

/** An answer that was overtaken by a newer one changes nothing. */
export function setNewer(view: JobView): void {
  const current = $job.get();
  if (current?.jobId === view.jobId && current.seq > view.seq) return;
  $job.set(view);
}

const isBrowser = typeof window !== "undefined";

/** The job of this page, from the server's answer and then from every entry posted. */
export function useJob(fromPage: JobView): JobView {
  useState(() => {
    if (isBrowser && $job.get()?.jobId !== fromPage.jobId) $job.set(fromPage);
    return null;
  });
  const current = useStore($job);
  return current ?? fromPage;
}
