import type { PGlite, Transaction } from "@electric-sql/pglite";
import type { JournalFiles } from "./journal-file";
import { COPY_HEAD, GapWatch } from "./journal-gaps";
import { type JournalLine, lineTextOf } from "./journal-line";
import { JOURNAL_SQL, JOURNALLED, putBackSql } from "./journal-sql";

interface OutboxRow {
  readonly number: string;
  readonly at: string;
  readonly of_table: string;
  readonly of_row: Record<string, unknown>;
}

/** What a start found when it compared the two ends. */
export interface Caught {
  /** Lines that the database had and the journal lacked. */
  readonly toJournal: number;
  /** Lines that the journal had and the database lacked. */
  readonly toDatabase: number;
  /** What the journal was found to lack, in sentences. */
  readonly lacks: readonly string[];
}

/** A database or a journal that was put here from another shop: nothing of one is ever played into the other. */
export class OtherShop extends Error {}

const PRUNE_FROM = 500;

const LOT = 500;
const MANY = 10_000;

/** Lines of one table that follow each other, so many at a time. */
function* lotsOf(lines: Iterable<JournalLine>): Generator<readonly JournalLine[]> {
  let lot: JournalLine[] = [];
  for (const line of lines) {
    if (lot.length > 0 && (lot.length === LOT || lot[0]?.table !== line.table)) {
      yield lot;
      lot = [];
    }
    lot.push(line);
  }
  if (lot.length > 0) yield lot;
}

/** Lines of the check that are read before others are served. */
const CHECKED_AT_ONCE = 500;
const MENDED = "The database has it all: the journal was begun anew from it.";

const newestLost = (first: number, last: number): readonly string[] => [
  `The journal lacked ${first === last ? `line ${first}` : `lines ${first} to ${last}`}, the newest. ${MENDED}`,
];

/** Lines of the journal as they are read, each seen by the watch. */
function* watched(files: JournalFiles, from: number | "copy", watch: GapWatch): Generator<JournalLine> {
  for (const line of files.linesAfter(from, (place, text) => watch.unreadable(place, text))) {
    watch.line(line);
    if (line.table !== COPY_HEAD) yield line;
  }
}

async function countRows(tx: Transaction): Promise<number> {
  let count = 0;
  for (const [table] of JOURNALLED) {
    const { rows } = await tx.query<{ count: number }>(`select count(*)::int as count from ${table}`);
    count += rows[0]?.count ?? 0;
  }
  return count;
}

/** Every row of the shop as text, parents before what refers to them, a lot of them in memory. */
async function* everyRow(tx: Transaction, n: number, at: string): AsyncGenerator<string> {
  for (const [table, key] of JOURNALLED) {
    const order = table === "entries" ? "job_id, seq" : key;
    for (let after: readonly unknown[] | undefined; ; ) {
      const beyond = after
        ? `where (${order}) > (${after.map((_, index) => `$${index + 1}`).join(", ")})`
        : "";
      // One text for the whole lot: row by row takes three times as long.
      const { rows } = await tx.query<{ lines: string | null; last: readonly unknown[] | null }>(
        `with lot as (select * from ${table} ${beyond} order by ${order} limit ${LOT})
         select (select string_agg(row_to_json(lot)::text, E'\\n' order by ${order}) from lot) as lines,
           (select json_build_array(${order}) from lot
            order by ${order.replaceAll(",", " desc,")} desc limit 1) as last`,
        [...(after ?? [])],
      );
      const [{ lines, last } = { lines: null, last: null }] = rows;
      if (!lines || !last) break;
      for (const row of lines.split("\n")) yield lineTextOf({ n, at, table }, row);
      after = last;
    }
  }
}

/**
 * The journal of one open database. Order of every write: commit, line on the disk, answer. Lines of commits that come
 * together are synced together.
 */
export class Journal {
  private written = 0;
  private waiting: Promise<void> | undefined;
  private sincePrune = 0;
  /** Whether anything may have been written since the outbox was last read. */
  private isOwed = true;
  private isClosing = false;
  /** Begun with a whole copy at this opening: there is nothing that could be missing. */
  private isFresh = false;

  constructor(
    private readonly client: PGlite,
    private readonly files: JournalFiles,
  ) {}

  /** Something was written, or may have been: called before whoever wrote it goes on. */
  note(): void {
    this.isOwed = true;
  }

  /**
   * Compares the two ends and brings whichever is short to the other.
   * @param identity of the folder: a journal of another one is never played in
   */
  async open(identity: string): Promise<Caught> {
    await this.client.exec(JOURNAL_SQL);
    await this.client.query(
      "insert into journal_head (id, n, identity) values (1, 0, $1) on conflict (id) do nothing",
      [identity],
    );
    const { rows } = await this.client.query<{ identity: string }>("select identity from journal_head");
    if (rows[0]?.identity !== identity || this.files.identityOr(identity) !== identity)
      throw new OtherShop("the database, the journal and the folder are not of one shop");
    this.files.mend();
    const before = this.files.lastNumber();
    const head = await this.head();
    if (before > head) {
      const from = head === 0 ? "copy" : head;
      const watch = new GapWatch(head === 0 ? this.files.numberBefore() : head);
      const toDatabase = await this.playIn(watched(this.files, from, watch));
      watch.end();
      // So many rows at once, and the database would look for each of them as in a shop of a few.
      if (toDatabase >= MANY) await this.client.exec("analyze");
      this.written = before;
      await this.finishForgetting(this.files.forgetting());
      const lacks = watch.found.length === 0 ? [] : [...watch.found, ...(await this.shortLogs())];
      this.keepLacks(lacks);
      return { toJournal: 0, toDatabase, lacks };
    }
    this.written = before;
    const owed = await this.outbox();
    const isWhole = owed.length === head - before;
    const lacks: string[] = [];
    // A copy of before, which does not say how long it is, is made anew before anybody is served.
    const isCounted = this.files.numberBefore() !== undefined;
    if (isWhole && isCounted) await this.flush();
    else if (isWhole) await this.copyWhole();
    else {
      if (before > 0 || this.files.names().length > 0) lacks.push(...newestLost(before + 1, head));
      await this.copyWhole();
      this.keepLacks(lacks);
    }
    await this.finishForgetting(this.files.forgetting());
    return { toJournal: isWhole ? owed.length : head, toDatabase: 0, lacks };
  }

  private keepLacks(lacks: readonly string[]): void {
    if (lacks.length > 0) this.files.noteLacks(new Date().toISOString(), lacks);
  }

  /** Logs that miss a line of their own: what was lost, as far as the rest tells. */
  private async shortLogs(): Promise<readonly string[]> {
    const { rows } = await this.client.query<{ job: number; most: number; count: number }>(
      `select job_id as job, max(seq) as most, count(*)::int as count from entries
       group by job_id having max(seq) <> count(*) order by job_id limit 20`,
    );
    return rows.map(({ job, most, count }) => `Job ${job} lacks ${most - count} of its ${most} lines.`);
  }

  /**
   * Reads the journal through, from its newest whole copy to the line that was the newest when it was opened, a little at a
   * time. Where it lacks anything it is begun anew from the database, which has it all.
   * @returns what it lacked
   */
  async check(): Promise<readonly string[]> {
    if (this.isFresh) return [];
    const upTo = this.written;
    const watch = new GapWatch(this.files.numberBefore());
    let lines = 0;
    for (const line of watched(this.files, "copy", watch)) {
      if (this.isClosing) return [];
      if (line.n > upTo) break;
      lines += 1;
      if (lines % CHECKED_AT_ONCE === 0) await new Promise((resolve) => setImmediate(resolve));
    }
    watch.end(upTo);
    if (watch.found.length === 0) return [];
    const lacks = watch.found.map((sentence) => `${sentence} ${MENDED}`);
    await this.alone(() => this.copyWhole());
    this.keepLacks(lacks);
    return lacks;
  }

  private async head(): Promise<number> {
    const { rows } = await this.client.query<{ n: string }>("select n::text from journal_head");
    return Number(rows[0]?.n ?? 0);
  }

  private async outbox(): Promise<readonly JournalLine[]> {
    const { rows } = await this.client.query<OutboxRow>(
      `select o.n::text as number, to_char(o.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at,
         o.of_table, o.of_row
       from journal_outbox o where o.n > $1 order by o.n`,
      [this.written],
    );
    return rows.map(({ number, at, of_table, of_row }) => ({
      n: Number(number),
      at,
      table: of_table,
      row: of_row,
    }));
  }

  /** On the disk, all that was committed before this was called. Callers that come together share one sync. */
  async flush(): Promise<void> {
    const running = this.waiting;
    if (running) await running.catch(() => undefined);
    this.waiting ??= this.write().finally(() => {
      this.waiting = undefined;
    });
    return this.waiting;
  }

  /** Does something to the files while nothing is written to them. */
  private async alone(work: () => Promise<void>): Promise<void> {
    while (this.waiting) await this.waiting.catch(() => undefined);
    this.waiting = work().finally(() => {
      this.waiting = undefined;
    });
    return this.waiting;
  }

  private async write(): Promise<void> {
    if (!this.isOwed) return;
    this.isOwed = false;
    const lines = await this.outbox().catch((error: unknown) => {
      this.isOwed = true;
      throw error;
    });
    const last = lines.at(-1);
    if (!last) return;
    this.files.append(lines);
    this.written = last.n;
    this.sincePrune += lines.length;
    if (this.sincePrune >= PRUNE_FROM) await this.prune();
  }

  /** What stands in the journal need not wait any longer. */
  async prune(): Promise<void> {
    this.sincePrune = 0;
    await this.client.query("delete from journal_outbox where n <= $1", [this.written]);
  }

  /** A whole copy of the shop, as the journal's new beginning. */
  async copyWhole(): Promise<void> {
    const at = new Date().toISOString();
    this.written = await this.client.transaction(async (tx) => {
      const { rows } = await tx.query<{ n: string }>("select n::text from journal_head");
      const n = Number(rows[0]?.n ?? 0);
      await this.files.writeCopy(at, n, await countRows(tx), everyRow(tx, n, at));
      return n;
    });
    this.isFresh = true;
  }

  /** Plays lines in, all or none of them, without noting them again. @returns how many there were */
  private async playIn(lines: Iterable<JournalLine>): Promise<number> {
    const columns = new Map<string, string[]>();
    const { rows } = await this.client.query<{ table_name: string; column_name: string }>(
      "select table_name, column_name from information_schema.columns where table_schema = 'public'",
    );
    for (const { table_name, column_name } of rows)
      columns.set(table_name, [...(columns.get(table_name) ?? []), column_name]);
    const putBack = new Map(
      JOURNALLED.map(([table, key]) => [
        table as string,
        { key, sql: putBackSql(table, key, columns.get(table) ?? []) },
      ]),
    );
    return this.client.transaction(async (tx) => {
      await tx.exec("set local good_spindle.playing_in = 'yes'");
      const touched = { jobs: new Set<unknown>(), owners: new Set<unknown>() };
      let [count, last] = [0, 0];
      for (const lot of lotsOf(lines)) {
        const { table = "", n = 0 } = lot.at(-1) ?? {};
        const of = putBack.get(table);
        // Of several states of one row the last one counts.
        const states = new Map(lot.map(({ row }) => [of ? row[of.key] : undefined, row]));
        if (of) await tx.query(of.sql, [JSON.stringify([...states.values()])]);
        for (const { row } of lot) {
          if (table === "entries") touched.jobs.add(row["job_id"]);
          if (table === "owners") touched.owners.add(row["id"]);
        }
        count += lot.length;
        last = n;
      }
      await tx.query("delete from job_facts where job_id = any($1::int[]) or owner_id = any($2::int[])", [
        `{${[...touched.jobs].join(",")}}`,
        `{${[...touched.owners].join(",")}}`,
      ]);
      for (const table of ["jobs", "owners"])
        await tx.exec(
          `select setval(pg_get_serial_sequence('${table}', 'id'), most)
           from (select max(id) as most from ${table}) t where most is not null`,
        );
      await tx.query("update journal_head set n = $1", [last]);
      return count;
    });
  }

  /**
   * Takes an owner's name and contact out of the database, by `redact`, and out of every day of the journal. What is
   * asked for is written down first: a start finishes what a power cut interrupted.
   */
  async forgetOwner(id: number, redact: () => Promise<void>): Promise<void> {
    this.files.noteForgetting(id);
    await redact();
    await this.finishForgetting([id]);
  }

  /** Only owners whose name is gone from the database: where that did not come to pass, nothing was forgotten. */
  private async finishForgetting(ids: readonly number[]): Promise<void> {
    if (ids.length === 0) return;
    const { rows } = await this.client.query<{ id: number }>(
      "select id from owners where name = '' and contact = '' and id = any($1::integer[])",
      [`{${ids.join(",")}}`],
    );
    const gone = new Set<unknown>(rows.map(({ id }) => id));
    await this.flush();
    await this.prune();
    this.files.rewrite((line) =>
      line.table === "owners" && gone.has(line.row["id"])
        ? { ...line, row: { ...line.row, name: "", contact: "" } }
        : line,
    );
    this.files.forgettingDone();
  }

  async close(): Promise<void> {
    this.isClosing = true;
    await this.flush();
    this.files.close();
  }
}
