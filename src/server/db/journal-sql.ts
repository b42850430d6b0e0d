/** Tables that the journal follows, parents before what refers to them, each with its key. */
export const JOURNALLED = [
  ["settings", "id"],
  ["owners", "id"],
  ["files", "sha256"],
  ["jobs", "id"],
  ["entries", "entry_id"],
  ["loose_readings", "id"],
  ["shelf_parts", "id"],
  ["stock_moves", "id"],
] as const;

/** Tables whose rows are added, never changed. */
const ADDED_TO: ReadonlySet<string> = new Set(["entries", "loose_readings", "stock_moves"]);

/**
 * Every row that is written gets its number and waits in `journal_outbox` in the same transaction, whoever wrote it. While
 * a journal is played in, `good_spindle.playing_in` is set and nothing is noted again. On the embedded engine only: a
 * PostgreSQL server's own durability counts.
 */
export const JOURNAL_SQL = `
create table if not exists journal_head (
  id integer primary key check (id = 1),
  n bigint not null,
  identity text not null
);
create table if not exists journal_outbox (
  n bigint primary key,
  at timestamptz not null default now(),
  of_table text not null,
  of_row jsonb not null
);
create or replace function note_in_journal() returns trigger language plpgsql as $$
declare
  number bigint;
begin
  if current_setting('good_spindle.playing_in', true) = 'yes' then
    return null;
  end if;
  update journal_head set n = n + 1 returning n into number;
  insert into journal_outbox (n, of_table, of_row) values (number, tg_table_name, to_jsonb(new));
  return null;
end;
$$;
${JOURNALLED.map(
  ([table]) => `create or replace trigger ${table}_noted after insert or update on ${table}
  for each row execute function note_in_journal();`,
).join("\n")}
`;

/** Puts rows back as they stood; one that is there already is brought to what its line says, log lines stay as they are. */
export function putBackSql(table: string, key: string, columns: readonly string[]): string {
  const others = columns.filter((column) => column !== key);
  const isLog = ADDED_TO.has(table);
  const onConflict =
    isLog || others.length === 0
      ? "do nothing"
      : `do update set ${others.map((column) => `"${column}" = excluded."${column}"`).join(", ")}`;
  return `insert into ${table} overriding system value
    select * from jsonb_populate_recordset(null::${table}, $1::jsonb) on conflict (${key}) ${onConflict}`;
}
