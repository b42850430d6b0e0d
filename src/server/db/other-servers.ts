import { randomUUID } from "node:crypto";
import pg from "pg";

/** A job whose log grew. */
export interface Change {
  readonly jobId: number;
  readonly seq: number;
}

/** The other servers that work on the same database. */
export interface OtherServers {
  tell(change: Change): void;
  /** @param onGap some changes may have been missed: the line was cut */
  hear(onChange: (change: Change) => void, onGap: () => void): void;
  close(): Promise<void>;
}

const CHANNEL = "good_spindle_job";
const AGAIN_MS = 2_000;

function readChange(text: string | undefined, own: string): Change | undefined {
  const [, from, jobId, seq] = /^([0-9a-f-]{36}) (\d+) (\d+)$/.exec(text ?? "") ?? [];
  return from === undefined || from === own ? undefined : { jobId: Number(jobId), seq: Number(seq) };
}

/** Changes travel through the database: LISTEN and NOTIFY, on a connection of their own that is opened again when it is cut. */
export function otherServers(url: string, pool: pg.Pool): OtherServers {
  const own = randomUUID();
  let line: pg.Client | undefined;
  let isClosed = false;

  const listen = async (onChange: (change: Change) => void, onGap: () => void): Promise<void> => {
    const client = new pg.Client({ connectionString: url });
    line = client;
    const again = (): void => {
      if (line !== client) return;
      line = undefined;
      onGap();
      void client.end().catch(() => undefined);
      if (!isClosed) setTimeout(() => void listen(onChange, onGap), AGAIN_MS).unref();
    };
    client.on("error", again);
    client.on("end", again);
    client.on("notification", ({ payload }) => {
      const change = readChange(payload, own);
      if (change) onChange(change);
    });
    await client
      .connect()
      .then(() => client.query(`listen ${CHANNEL}`))
      .catch(again);
  };

  return {
    tell: ({ jobId, seq }) =>
      void pool
        .query("select pg_notify($1, $2)", [CHANNEL, `${own} ${jobId} ${seq}`])
        .catch((error) =>
          console.error(`The other servers were not told of job ${jobId}: ${error.code ?? "no answer"}`),
        ),
    hear: (onChange, onGap) => void listen(onChange, onGap),
    close: async () => {
      isClosed = true;
      const last = line;
      line = undefined;
      await last?.end();
    },
  };
}
