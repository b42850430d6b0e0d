import type { ChildProcess } from "node:child_process";

export function fail(message: string): never;
export function ensureInstalled(): boolean;
export function ensureSnapshot(): void;
export function ensureBuilt(): boolean;
export function startServer(options: {
  readonly host?: string;
  readonly port: number;
  readonly data: string;
  readonly seed?: "demo" | "none";
  readonly anchor?: string | undefined;
  readonly hosts?: string;
  readonly access?: boolean;
  readonly output?: "inherit" | "ignore";
  readonly env?: Record<string, string>;
}): Promise<{ readonly child: ChildProcess; readonly address: string }>;
