import { Command } from "cmdk";
import Search from "lucide-react/icons/search";
import { type RefObject, useEffect, useRef, useState } from "react";
import { type CapacitorMark, parseCapacitorMark } from "@/core/markings/capacitor";
import { type NameplateLine, parseNameplate } from "@/core/nameplate/type-line";
import { request } from "../state/api";
import { otherMarking } from "./other-marking";
import {
  JobAnswers,
  MarkSaid,
  MarkWays,
  OtherSaid,
  OtherWays,
  PartAnswers,
  PlateSaid,
  PlateWays,
  Takes,
  ToolAnswers,
} from "./TypeLineAnswers";
import { useAsked } from "./use-asked";
import { useToolList } from "./use-tool-list";

const LOOKS_LIKE_CAPACITOR = /\d\s*(?:[uμµnp]\s*f|mfd|mf)\b|\b\d{1,3}[nu]\d|^\d{3}[FGHJKMNSZ]\b/i;

function understood(typed: string): CapacitorMark | undefined {
  if (!LOOKS_LIKE_CAPACITOR.test(typed)) return undefined;
  const parsed = parseCapacitorMark(typed);
  return parsed.ok ? parsed.value : undefined;
}

/** Two fields of a plate are a plate: one number with a unit may be anything. */
function understoodPlate(typed: string): NameplateLine | undefined {
  const line = parseNameplate(typed);
  return Object.keys(line.fields).length >= 2 ? line : undefined;
}

/** The `/` key goes to the line from anywhere but a field. */
function useSlash(field: RefObject<HTMLInputElement | null>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const target = event.target as HTMLElement;
      if (event.key !== "/" || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      event.preventDefault();
      field.current?.focus();
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [field]);
}

interface AnswersProps {
  readonly typed: string;
  readonly jobId: number | undefined;
  readonly isOpen: boolean;
}

const findJobs = (find: string) => request("GET /api/jobs", { query: { find } });
const findParts = (mark: string) => request("GET /api/parts", { query: { mark } });

/** What the line knows of what is typed: in words, and as ways on. */
function Answers({ typed, jobId, isOpen }: AnswersProps) {
  const hits = useAsked(typed, findJobs)?.jobs ?? [];
  const parts = useAsked(typed, findParts)?.parts ?? [];
  const list = useToolList(isOpen);
  const words = typed.trim().toLowerCase();
  const mark = understood(typed);
  const plate = mark ? undefined : understoodPlate(typed);
  const other = mark || plate ? undefined : otherMarking(typed);
  const tools = words === "" ? [] : list.filter(({ title }) => title.toLowerCase().includes(words));
  const hasAnswer =
    mark !== undefined ||
    plate !== undefined ||
    other !== undefined ||
    hits.length > 0 ||
    parts.length > 0 ||
    tools.length > 0;
  const toolFor = (kind: string): string | undefined =>
    list.find(({ takesMarking }) => takesMarking === kind)?.id;
  const check = toolFor("capacitor");
  const sheet = other && toolFor(other.kind);
  return (
    <>
      {words !== "" && !hasAnswer ? (
        <p className="px-3 pt-3 font-semibold">Nothing here by that name.</p>
      ) : null}
      {hasAnswer ? null : <Takes />}
      {mark ? <MarkSaid mark={mark} /> : null}
      {plate ? <PlateSaid plate={plate} /> : null}
      {other ? <OtherSaid marking={other} /> : null}
      <Command.List hidden={!hasAnswer}>
        {mark && check ? <MarkWays typed={typed} toolId={check} jobId={jobId} /> : null}
        {other && sheet ? <OtherWays marking={other} typed={typed} toolId={sheet} jobId={jobId} /> : null}
        {plate ? <PlateWays typed={typed} jobId={jobId} /> : null}
        <PartAnswers parts={parts} typed={typed} jobId={jobId} />
        <JobAnswers hits={hits} />
        <ToolAnswers tools={tools} />
      </Command.List>
    </>
  );
}

/** The shop's one line: jobs, tools, and what a part says, one key away. On a phone it opens as a sheet over the page. */
export function TypeLine({ jobId }: { readonly jobId?: number | undefined }) {
  const [typed, setTyped] = useState("");
  const [isOpen, setIsOpen] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useSlash(field);
  const sheet = isOpen ? "max-md:fixed max-md:inset-0 max-md:z-50 max-md:bg-paper max-md:p-3" : "";
  return (
    <Command
      shouldFilter={false}
      label="Type what the part says"
      className={`relative w-full md:w-[300px] ${sheet}`}
      onKeyDown={(event) => event.key === "Escape" && field.current?.blur()}
      // A press on an answer must not take the focus from the line before it is heard.
      onMouseDown={(event) => event.target !== field.current && event.preventDefault()}
    >
      <div className="flex gap-2">
        <div className="flex min-h-11 min-w-0 flex-1 items-center gap-2 rounded-[3px] border border-ring bg-sheet md:px-3">
          <button
            type="button"
            className="grid min-h-11 min-w-12 place-items-center md:hidden"
            aria-label="Find a job, read a marking"
            onClick={() => field.current?.focus()}
          >
            <Search size={20} />
          </button>
          <kbd className="key hidden md:inline">/</kbd>
          <Command.Input
            ref={field}
            value={typed}
            onValueChange={setTyped}
            onFocus={() => setIsOpen(true)}
            onBlur={() => setIsOpen(false)}
            placeholder="Type what the part says"
            className={`w-full min-w-0 bg-transparent focus:outline-none sm:placeholder:text-soft ${isOpen ? "placeholder:text-soft" : "placeholder:text-transparent"}`}
          />
        </div>
        {isOpen ? (
          <button type="button" className="btn btn-outline md:hidden" onClick={() => field.current?.blur()}>
            Close
          </button>
        ) : null}
      </div>
      {/* The list that the line names must be there while it is shut, too. */}
      <div
        hidden={!isOpen}
        className="right-0 z-20 mt-1 w-full overflow-y-auto rounded-[3px] border border-ring bg-sheet max-md:max-h-[80dvh] md:absolute md:max-h-[70vh] md:w-[430px]"
      >
        <Answers typed={isOpen ? typed : ""} jobId={jobId} isOpen={isOpen} />
      </div>
    </Command>
  );
}
