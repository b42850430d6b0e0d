import type { BenchLevel, BenchSummary } from "@/core/safety/bench-summary";
import { benchWords } from "@/words/bench-state";

const PATTERN: Readonly<Record<BenchLevel, string>> = { live: "hatched", charge: "half-hatched", hands: "" };

/** Plug, gap and capacitor plates: joined while live, parted when the plug is out. */
function BenchSign({ level }: { readonly level: BenchLevel }) {
  return (
    <svg
      width="34"
      height="28"
      viewBox="0 0 34 30"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      aria-hidden="true"
    >
      <path
        d={level === "live" ? "M2 15h12M14 8v14h4a7 7 0 0 0 0-14z" : "M2 15h5M12 8v14h4a7 7 0 0 0 0-14z"}
      />
      <path d="M27 9v12M32 9v12" strokeWidth={level === "hands" ? 2 : 3} />
      {level === "hands" ? <path d="M24 26h11" strokeDasharray="2 2" /> : null}
    </svg>
  );
}

interface BadgeProps {
  readonly summary: BenchSummary;
  readonly href?: string | undefined;
  /** On a row of the Bench: said quietly; the hatch stands where hands are about to go in. */
  readonly isSmall?: boolean;
}

/** The bench state in words and pattern, never colour alone. */
export function BenchBadge({ summary, href, isSmall = false }: BadgeProps) {
  const { words, check } = benchWords(summary);
  const inner = (
    <span
      className={`flex w-fit items-center rounded-[3px] ${isSmall ? "" : `min-h-11 border-[1.5px] border-ink p-[5px] ${PATTERN[summary.level]}`}`}
    >
      <span
        className={`flex items-center leading-tight ${isSmall ? "min-h-7 gap-1 text-soft" : "min-h-8 gap-2 bg-paper px-2 font-semibold"}`}
      >
        <BenchSign level={summary.level} />
        <span>{words}</span>
      </span>
    </span>
  );
  if (!href) return inner;
  return (
    <a href={href} title={check} data-testid="bench-state" aria-label={`Bench state: ${words}. ${check}`}>
      {inner}
    </a>
  );
}
