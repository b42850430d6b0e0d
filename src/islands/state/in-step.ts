import { useEffect } from "react";
import { $job } from "./job";
import { loadJob, wasPostedHere } from "./post-entry";
import { type Change, countChange, tabChannel } from "./tabs";
import { dropWatch } from "./watch";

async function catchUp({ jobId, seq }: Change): Promise<void> {
  // What this tab wrote itself is heard of too, before it was answered or after.
  if (!(await wasPostedHere({ jobId, seq }))) dropWatch(jobId);
  const current = $job.get();
  if (current?.jobId === jobId && current.seq < seq) await loadJob(jobId);
  countChange(jobId);
}

/** While the screen is looked at, it hears of changes made on other devices; hidden tabs hold no line open. */
function listen(): () => void {
  let source: EventSource | undefined;
  const loadAll = (): void => {
    const current = $job.get();
    if (current) void loadJob(current.jobId);
    countChange(undefined);
  };
  const open = (): void => {
    source?.close();
    const opened = new EventSource("/api/events");
    opened.addEventListener("job", (event: MessageEvent<string>) => void catchUp(JSON.parse(event.data)));
    // Opened again by itself after the line was cut: what happened meanwhile was not heard.
    let isFirst = true;
    opened.addEventListener("open", () => {
      if (!isFirst) loadAll();
      isFirst = false;
    });
    source = opened;
  };
  const onSight = (): void => {
    if (document.visibilityState === "hidden") {
      source?.close();
      source = undefined;
      return;
    }
    if (source) return;
    open();
    loadAll();
  };
  if (document.visibilityState !== "hidden") open();
  document.addEventListener("visibilitychange", onSight);
  return () => {
    document.removeEventListener("visibilitychange", onSight);
    source?.close();
  };
}

/** Keeps this page in step with other tabs and other devices for as long as it is mounted. */
export function useInStep(): void {
  useEffect(() => {
    if (typeof EventSource === "undefined") return undefined;
    const tabs = tabChannel();
    const onTab = (event: MessageEvent<Change>): void => void catchUp(event.data);
    tabs?.addEventListener("message", onTab);
    const stop = listen();
    return () => {
      tabs?.removeEventListener("message", onTab);
      stop();
    };
  }, []);
}
