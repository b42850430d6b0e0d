import { spawn } from "node:child_process";
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { describe, expect, it } from "vitest";
import { type SeededRandom, seededRandom } from "@/core/seeded-random";
import { openFolder } from "@/server/db/connect";
import { entriesOf } from "@/server/repositories/entries";

/** A hundred in `npm run bench:shop`; each takes its eight seconds. */
const CUTS = Number(process.env["CUTS"] ?? 1);
const SEED = 20261128;

/** Lets a writer write for a while, then takes its power. @returns the last line it had acknowledged */
function writeUntilCut(folder: string, shadow: string, afterMs: number): Promise<number> {
  return new Promise((resolve, reject) => {
    const node = ["--import", "tsx", "--import", "./tests/server/record-syncs.ts"];
    const writer = spawn(process.execPath, [...node, "tests/server/kill-writer.ts", folder], {
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, SYNCED_TO: shadow },
    });
    let [out, trouble] = ["", ""];
    writer.stdout.on("data", (piece: Buffer) => {
      if (!out.includes("kept") && piece.includes("kept")) setTimeout(() => writer.kill("SIGKILL"), afterMs);
      out += piece.toString();
    });
    writer.stderr.on("data", (piece: Buffer) => {
      trouble += piece.toString();
    });
    writer.once("exit", (_, signal) => {
      if (signal !== "SIGKILL") reject(new Error(`the writer ended by itself: ${trouble}`));
      resolve(Number([...out.matchAll(/kept (\d+)\n/g)].at(-1)?.[1] ?? 0));
    });
  });
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? filesIn(join(folder, entry.name)) : [join(folder, entry.name)],
  );
}

/**
 * The folder as a disk may hold it after the cut: every file as at its own last sync. A hard one keeps of what came later
 * some files and drops others, as it pleases.
 */
function afterCut(folder: string, shadow: string, isHard: boolean, { next }: SeededRandom): void {
  const lost = `${folder}-before`;
  renameSync(folder, lost);
  for (const path of filesIn(lost)) {
    const own = path.slice(lost.length);
    const synced = join(shadow, folder, own);
    const from = isHard && next() < 0.5 ? path : existsSync(synced) ? synced : undefined;
    if (!from) continue;
    mkdirSync(dirname(join(folder, own)), { recursive: true });
    cpSync(from, join(folder, own));
  }
  // Folders whose files were all dropped are there all the same: they were made and synced at the first start.
  for (const name of readdirSync(join(lost, "postgres"), { withFileTypes: true }))
    if (name.isDirectory()) mkdirSync(join(folder, "postgres", name.name), { recursive: true });
  for (const deep of [
    "pg_logical/snapshots",
    "pg_logical/mappings",
    "pg_multixact/members",
    "pg_multixact/offsets",
    "pg_wal/archive_status",
    "pg_wal/summaries",
  ])
    mkdirSync(join(folder, "postgres", deep), { recursive: true });
  rmSync(lost, { recursive: true });
}

describe.skipIf(process.platform !== "linux")("the power cut at random moments", () => {
  it(`loses nothing that was acknowledged, ${CUTS} times`, { timeout: 60_000 * CUTS }, async () => {
    const random = seededRandom(SEED);
    for (let cut = 0; cut < CUTS; cut += 1) {
      const root = mkdtempSync(join(tmpdir(), "spindle-cut-"));
      const [folder, shadow] = [join(root, "shop"), join(root, "synced")];
      const acknowledged = await writeUntilCut(folder, shadow, 100 + Math.floor(random.next() * 900));
      afterCut(folder, shadow, cut % 2 === 0, random);
      const told: string[] = [];
      const shop = await openFolder(folder, "the test", { tell: (sentence) => told.push(sentence) });
      const entries = await entriesOf(shop.db, 101);
      await shop.close();
      const why = `seed ${SEED}, cut ${cut}: ${told.join(" ")}`;
      expect(acknowledged, why).toBeGreaterThan(1);
      expect(entries.length, why).toBeGreaterThanOrEqual(acknowledged);
      expect(
        entries.map(({ seq }) => seq),
        why,
      ).toEqual(entries.map((_, index) => index + 1));
      rmSync(root, { recursive: true });
    }
  });
});
