import { spawn } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { seededRandom } from "@/core/seeded-random";
import { makeLargeShop } from "./large-shop";
import { quantile, residentMegabytes } from "./measured";
import { startServer } from "./prepare.mjs";
import { sized } from "./sized.mjs";

const ASKED = sized(100, 2);
const FIRST_JOB = 1_001;
const LINES = 30;
const HERE = 150;

interface Asked {
  readonly jobs: number;
  readonly pictures: number;
}

interface Load extends Asked {
  readonly folder: string | undefined;
  readonly port: number;
}

const seconds = (from: number): string => `${((Date.now() - from) / 1000).toFixed(1)} s`;

async function start(folder: string, port: number) {
  const started = Date.now();
  const server = await startServer({ port, data: folder, seed: "none", output: "inherit" });
  return { ...server, took: seconds(started) };
}

async function stop(child: Awaited<ReturnType<typeof start>>["child"]): Promise<void> {
  child.kill("SIGTERM");
  await new Promise((resolve) => child.once("exit", resolve));
}

async function answered(address: string, path: string): Promise<number> {
  const began = performance.now();
  const answer = await fetch(address + path);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
  return performance.now() - began;
}

function told(name: string, times: number[]): void {
  const sorted = times.sort((one, other) => one - other);
  console.log(
    `  ${name.padEnd(28)} p50 ${quantile(sorted, 0.5).toFixed(0)} ms, p95 ${quantile(sorted, 0.95).toFixed(0)} ms, longest ${(sorted.at(-1) ?? 0).toFixed(0)} ms`,
  );
}

async function pagesUnderLoad(address: string, jobs: number): Promise<void> {
  const { next } = seededRandom(20_261_128);
  const job = (): number => FIRST_JOB + Math.floor(next() * jobs);
  const words = ["carder", "tansy weavers", "TQ-4711", "shelf 7 honey", "nothing like it", "job 31"];
  const pages: readonly (readonly [name: string, path: () => string])[] = [
    ["the Bench", () => "/"],
    ["/api/bench", () => "/api/bench"],
    ["a page of those that left", () => "/api/bench?list=gone"],
    ["a job", () => `/jobs/${job()}/measure`],
    ["search", () => `/api/jobs?find=${encodeURIComponent(words[Math.floor(next() * words.length)] ?? "")}`],
    ["Set-up", () => "/set-up"],
    ["timers", () => "/api/timers"],
  ];
  for (const [name, path] of pages) {
    await answered(address, path());
    const times: number[] = [];
    for (let count = 0; count < ASKED; count += 1) times.push(await answered(address, path()));
    told(name, times);
  }
}

interface BackupState {
  readonly work: { readonly isDone: boolean; readonly trouble: string | null } | null;
}

/** A backup while the Bench is asked for, as one device would: twice a second. */
async function exportUnderLoad(address: string, pid: number | undefined): Promise<void> {
  const began = Date.now();
  await fetch(`${address}/api/backups`, { method: "POST" });
  const times: number[] = [];
  for (;;) {
    const { work } = (await (await fetch(`${address}/api/backups`)).json()) as BackupState;
    if (work?.isDone) {
      const how = work.trouble ? `backup FAILED: ${work.trouble}` : "backup";
      console.log(`  ${how} in ${seconds(began)}, memory at most ${residentMegabytes(pid, "VmHWM")} MB`);
      break;
    }
    times.push(await answered(address, "/"));
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  told("Bench meanwhile", times);
}

/** The command of the README, on the newest backup. */
async function restored(folder: string): Promise<void> {
  const backups = join(folder, "backups");
  const [newest = ""] = readdirSync(backups).sort().reverse();
  const to = join(mkdtempSync(join(tmpdir(), "spindle-restored-")), "shop");
  const began = Date.now();
  const child = spawn(
    process.execPath,
    ["--import", "tsx", "scripts/restore.ts", join(backups, newest), "--data", to],
    { stdio: "inherit" },
  );
  let most = 0;
  const look = setInterval(() => {
    if (child.exitCode === null) most = Math.max(most, residentMegabytes(child.pid, "VmHWM"));
  }, 500);
  await new Promise((resolve) => child.once("exit", resolve));
  clearInterval(look);
  console.log(`  restored in ${seconds(began)}, memory at most ${most} MB`);
  rmSync(join(to, ".."), { recursive: true });
}

/** Makes the shop that is measured, and says how long that took. */
export async function makeLarge(folder: string, { jobs, pictures }: Asked): Promise<void> {
  const began = Date.now();
  await makeLargeShop(folder, { jobs, pictures, here: HERE, linesAJob: LINES });
  console.log(
    `a shop of ${jobs} jobs, ${jobs * LINES} lines, ${pictures} pictures made in ${seconds(began)}`,
  );
}

/** Every screen of a shop of ten years, one device asking; then a backup and a restore of it. */
export async function measureLoad({ jobs, pictures, folder: given, port }: Load): Promise<void> {
  const folder = given ?? join(mkdtempSync(join(tmpdir(), "spindle-large-")), "shop");
  if (!existsSync(folder)) await makeLarge(folder, { jobs, pictures });
  const first = await start(folder, port);
  console.log(`  its first start, where every job stands worked out: ${first.took}`);
  await stop(first.child);
  const { child, address, took } = await start(folder, port);
  console.log(`  a start: ${took}, memory ${residentMegabytes(child.pid)} MB`);
  await pagesUnderLoad(address, jobs);
  console.log(`  memory at most ${residentMegabytes(child.pid, "VmHWM")} MB`);
  await exportUnderLoad(address, child.pid);
  await stop(child);
  await restored(folder);
}
