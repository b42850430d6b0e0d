import { useState } from "react";
import { PAGE_TABLES, type PageTable } from "@/core/knowledge/page-of";
import { Field } from "../fields/Field";
import { PlainFrame } from "../frame/PlainFrame";
import { addressOf, type KnowledgeEntry, TABLE_WORDS } from "./entries";

function List({
  table,
  entries,
}: {
  readonly table: PageTable;
  readonly entries: readonly KnowledgeEntry[];
}) {
  if (entries.length === 0) return null;
  return (
    <section aria-label={TABLE_WORDS[table]} className="mt-5">
      <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">
        {TABLE_WORDS[table]}, <span className="num">{entries.length}</span>
      </h2>
      <ul>
        {entries.map(({ id, title, about, isReviewed }) => (
          <li key={id} className="border-rule border-b">
            <a
              href={addressOf(table, id)}
              className="grid min-h-14 items-center gap-x-6 py-2 hover:bg-sheet md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)_max-content]"
            >
              <b>{title}</b>
              <span className="text-soft">{about}</span>
              <span className="text-soft">{isReviewed ? "reviewed" : "not reviewed"}</span>
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface KnowledgeProps {
  readonly entries: readonly KnowledgeEntry[];
  readonly version: string;
}

/** All that advice stands on, to be read and searched. */
export function KnowledgeScreen({ entries, version }: KnowledgeProps) {
  const [typed, setTyped] = useState("");
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = entries.filter(({ title, about, id }) => {
    const text = `${title} ${about} ${id}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const reviewed = entries.filter(({ isReviewed }) => isReviewed).length;
  return (
    <PlainFrame path="/tools">
      <h1 className="font-bold text-[28px] leading-tight">Knowledge</h1>
      <p className="mt-1 text-lg text-soft">
        What every piece of advice stands on: {entries.length} pages, {reviewed} of them reviewed. State{" "}
        <span className="num">{version}</span>.
      </p>
      <Field label="Find" className="mt-3 max-w-[460px]">
        {(ids) => (
          <input
            {...ids}
            className="input"
            autoComplete="off"
            placeholder="capacitor, brush, insulation …"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        )}
      </Field>
      {found.length === 0 ? <p className="mt-4 text-lg">No page has these words.</p> : null}
      {PAGE_TABLES.map((table) => (
        <List key={table} table={table} entries={found.filter((entry) => entry.table === table)} />
      ))}
    </PlainFrame>
  );
}
