import type { Result } from "@/core/result";
import type { PictureSize } from "@/server/db/pictures";
import type { Manifest, Table } from "./archive-format";
import { ArchiveWriter } from "./archive-writer";
import { verifyArchive } from "./read-archive";

/** What is asked of whoever writes archives, in order; one archive at a time. */
export type ArchiveStep =
  | { readonly step: "begin"; readonly path: string }
  | { readonly step: "lines"; readonly table: Table; readonly text: string; readonly count: number }
  | {
      readonly step: "picture";
      readonly sha256: string;
      readonly size: PictureSize;
      readonly bytes: Uint8Array;
    }
  | { readonly step: "pictures"; readonly folder: string; readonly hashes: readonly string[] }
  | { readonly step: "finish" }
  | { readonly step: "drop" }
  | { readonly step: "verify"; readonly path: string };

export interface StepDone {
  readonly manifest?: Manifest;
  readonly verified?: Result<Manifest>;
  /** What the disk or the archive said, in its own words. */
  readonly failed?: string;
}

/** Takes the steps of one archive after another. */
export function archiveSteps(): (asked: ArchiveStep) => Promise<StepDone> {
  let writer: ArchiveWriter | undefined;

  async function take(asked: ArchiveStep): Promise<StepDone> {
    switch (asked.step) {
      case "begin":
        writer = new ArchiveWriter(asked.path);
        return {};
      case "lines":
        await writer?.lines(asked.table, asked.text, asked.count);
        return {};
      case "picture":
        await writer?.picture(asked.sha256, asked.size, asked.bytes);
        return {};
      case "pictures":
        await writer?.picturesOf(asked.folder, asked.hashes);
        return {};
      case "finish": {
        const manifest = await writer?.finish();
        return manifest ? { manifest } : {};
      }
      case "drop":
        writer?.drop();
        writer = undefined;
        return {};
      case "verify":
        return { verified: await verifyArchive(asked.path) };
    }
  }

  return (asked) =>
    take(asked).catch((error: unknown) => ({
      failed: error instanceof Error ? error.message : String(error),
    }));
}
