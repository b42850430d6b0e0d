import { useEffect } from "react";
import { $job } from "./job";
import { loadJob } from "./post-entry";
import { type Change, countChange, tabChannel } from "./tabs";

async function catchUp({ jobId, seq }: Change): Promise<void> {
  const current = $job.get();
  if (current?.jobId === jobId && current.seq < seq) await loadJob(jobId);
  countChange(jobId);
}

/** While the screen is looked at, it hears of changes made on other devices; hidden tabs hold no line open. */
function listen(): () => void {
  let source: EventSource | undefined;
  const open = (): void => {
    source?.close();
    source = new EventSource("/api/events");
    source.addEventListener("job", (event: MessageEvent<string>) => void catchUp(JSON.parse(event.data)));
  };
  const onSight = (): void => {
    if (document.visibilityState === "hidden") {
      source?.close();
      source = undefined;
      return;
    }
    if (source) return;
    open();
    const current = $job.get();
    if (current) void loadJob(current.jobId);
    countChange(undefined);
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
