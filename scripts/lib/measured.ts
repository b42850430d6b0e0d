import { readFileSync } from "node:fs";

export const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

/** Memory of a process as the system counts it now, or at its most, in MB. */
export function residentMegabytes(pid: number | undefined, which: "VmRSS" | "VmHWM" = "VmRSS"): number {
  const status = readFileSync(`/proc/${pid}/status`, "utf8");
  return Math.round(Number(new RegExp(`${which}:\\s+(\\d+)`).exec(status)?.[1]) / 1024);
}
