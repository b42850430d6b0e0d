import { fsyncSync } from "node:fs";
import { PGlite } from "@electric-sql/pglite";
import { NodeFS } from "@electric-sql/pglite/nodefs";

/** What the folder driver hands its stream functions; `nfd` is the file as Node knows it. */
interface NodeStream {
  readonly nfd: number;
}

/** The parts of the compiled program that the driver is made of. */
interface WithDriver {
  readonly NODEFS: {
    readonly stream_ops: { fsync?: (stream: NodeStream) => number };
    convertNodeCode(error: unknown): number;
  };
  readonly FS: { readonly ErrnoError: new (code: number) => Error };
}

type Initialised = Awaited<ReturnType<NodeFS["init"]>>;

/**
 * The folder driver of the embedded database, with the sync that it lacks: without, a commit is only in the memory of the
 * machine. An error becomes the driver's own, so that the database sees that its write failed.
 */
export class SyncedFolder extends NodeFS {
  /** How often the database asked for bytes to be on the disk. */
  syncs = 0;

  constructor(
    folder: string,
    private readonly onFailure: (error: unknown) => void,
    private readonly sync: (file: number) => void = fsyncSync,
  ) {
    super(folder);
  }

  override async init(...given: Parameters<NodeFS["init"]>): Promise<Initialised> {
    const { emscriptenOpts } = await super.init(...given);
    const addSync = (program: unknown): void => {
      const { NODEFS, FS } = program as WithDriver;
      NODEFS.stream_ops.fsync = ({ nfd }) => {
        this.syncs += 1;
        try {
          this.sync(nfd);
        } catch (error) {
          this.onFailure(error);
          throw new FS.ErrnoError(NODEFS.convertNodeCode(error));
        }
        return 0;
      };
    };
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), addSync] } };
  }
}

/**
 * The database's own start parameters without `-F`, which turns syncing off, and with the sync that the driver has. The
 * pages that it keeps in memory lie in the machine's own memory of files too: 24 MB of them instead of 128.
 */
export const SYNCED_START: string[] = [
  ...PGlite.defaultStartParams.filter((parameter) => parameter !== "-F"),
  "-c",
  "wal_sync_method=fsync",
  "-c",
  "shared_buffers=24MB",
];
