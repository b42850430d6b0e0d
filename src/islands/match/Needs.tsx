import type { MatchAnswer } from "@/core/matching/match-answer.input";
import type { Issue } from "@/core/result";
import { FROM_WORDS, howSure } from "@/words/match";

type Needed = MatchAnswer["needed"][number];

interface NeedsProps {
  readonly needed: readonly Needed[];
  readonly typed: Readonly<Record<string, string>>;
  readonly issues: readonly Issue[];
  onType(attribute: string, text: string): void;
  /** Which one is being typed now. */
  onTyping(attribute: string | undefined): void;
}

/** What is typed of an attribute, in its own words: a list to choose from, or a figure with its unit. */
function Entry({
  one,
  text,
  problem,
  onType,
}: {
  readonly one: Needed;
  readonly text: string;
  readonly problem: string | undefined;
  onType(text: string): void;
}) {
  const ids = {
    "aria-label": `${one.label}, as found`,
    "aria-invalid": problem ? (true as const) : undefined,
    "aria-describedby": `need-${one.id}`,
  };
  if (one.choices.length > 0)
    return (
      <select
        {...ids}
        className="select mt-1 w-full"
        value={text}
        onChange={(event) => onType(event.target.value)}
      >
        <option value="">{one.value === null ? "say" : "as above"}</option>
        {one.choices.map(({ value, label }) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>
    );
  return (
    <input
      {...ids}
      className="input num mt-1 w-full"
      autoComplete="off"
      placeholder={one.value === null ? "measure" : "as above"}
      value={text}
      onChange={(event) => onType(event.target.value)}
    />
  );
}

/** What is needed, one block an attribute: its value, how sure it is, where it comes from, and room to say otherwise. */
export function Needs({ needed, typed, issues, onType, onTyping }: NeedsProps) {
  return (
    <ul aria-label="What is needed" className="grid grid-cols-2 gap-2 md:grid-cols-3 xl:grid-cols-4">
      {needed.map((one) => {
        const problem = issues.find(({ path }) => path.endsWith(`typed.${one.id}`))?.message;
        const isMissing = one.value === null && one.isHard;
        return (
          <li
            key={one.id}
            onFocus={() => onTyping(one.id)}
            onBlur={() => onTyping(undefined)}
            className={`relative flex flex-col bg-sheet px-3 pt-1.5 pb-3 ${isMissing ? "border-2 border-brass border-dashed" : one.isHard ? "border-[1.5px] border-ink" : "border-[1.5px] border-ring border-dashed"}`}
          >
            <span className="block text-[15px] text-soft">{one.label}</span>
            <b className="block leading-tight">{one.value ?? (one.isHard ? "not known yet" : "any")}</b>
            <span id={`need-${one.id}`} className="block grow text-[15px] text-soft">
              {one.from === null ? one.said || one.how : `${FROM_WORDS[one.from]}: ${one.said}`}
            </span>
            <Entry
              one={one}
              text={typed[one.id] ?? ""}
              problem={problem}
              onType={(text) => onType(one.id, text)}
            />
            {problem ? (
              <span role="alert" className="mt-1 block font-semibold text-oxide text-sm">
                {problem}
              </span>
            ) : null}
            <span
              className="absolute bottom-0 left-0 h-1 bg-ink"
              style={{ width: `${one.sure * 100}%` }}
              title={howSure(one.sure)}
              aria-hidden="true"
            />
          </li>
        );
      })}
    </ul>
  );
}
