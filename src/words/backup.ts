const MINUTE_MS = 60_000;

const counted = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;

/** How long ago, roughly. @example "3 hours ago" */
export function ageWords(at: string, nowMs: number): string {
  const minutes = Math.floor((nowMs - Date.parse(at)) / MINUTE_MS);
  if (minutes < 1) return "just now";
  if (minutes < 90) return `${counted(minutes, "minute")} ago`;
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${counted(hours, "hour")} ago` : `${counted(Math.floor(hours / 24), "day")} ago`;
}

/** @example "2.1 MB" */
export function sizeWords(bytes: number): string {
  return bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}
