import type { KnowledgePage } from "@/core/knowledge/page-of";
import type { LimitRow, Provenance } from "@/core/knowledge/types";
import { PlainFrame } from "../frame/PlainFrame";
import { Basis } from "./Basis";
import { TABLE_WORDS } from "./entries";
import { FaultPage } from "./FaultPage";
import { MovePage } from "./MovePage";

function titleOf({ row }: KnowledgePage): string {
  return "title" in row ? row.title : row.label;
}

function LimitPage({ row }: { readonly row: LimitRow }) {
  return (
    <>
      <p className="mt-1 text-2xl">
        {row.relation === "at-least" ? "At least" : "At most"} <b className="num">{row.value}</b> {row.unit}
      </p>
      {row.appliesWhen ? <p>Where it is: {row.appliesWhen.join(", ").replaceAll("-", " ")}.</p> : null}
      {row.region ? <p>In {row.region}.</p> : null}
      <p className="mt-1 text-soft">
        {row.safety ? "A shop may set a stricter one, never a looser one." : "A shop may set its own."}
      </p>
    </>
  );
}

function Content({ page }: { readonly page: KnowledgePage }) {
  switch (page.table) {
    case "moves":
      return <MovePage move={page.row} families={page.families} />;
    case "faults":
      return <FaultPage fault={page.row} names={page.names} askedBy={page.askedBy} />;
    case "limits":
      return <LimitPage row={page.row} />;
    case "parameters":
      return (
        <>
          <p className="mt-1 text-2xl">
            <b className="num">{page.row.value}</b> {page.row.unit}
          </p>
          <p className="mt-1">{page.row.why}</p>
        </>
      );
    case "sources":
      return <p className="num mt-1 text-soft">{page.row.id}</p>;
  }
}

interface PageProps {
  readonly page: KnowledgePage;
  readonly provenance: Provenance;
  /** Title of the source that the provenance names. */
  readonly source: string;
}

/** A page of the knowledge, as a repairer reads it. */
export function PageScreen({ page, provenance, source }: PageProps) {
  return (
    <PlainFrame path="/tools">
      <p>
        <a
          className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          href="/knowledge"
        >
          Knowledge
        </a>
        <span className="text-soft">, {TABLE_WORDS[page.table].toLowerCase()}</span>
      </p>
      <h1 className="font-bold text-[28px] leading-tight">{titleOf(page)}</h1>
      <Content page={page} />
      <Basis provenance={provenance} source={source} />
    </PlainFrame>
  );
}
