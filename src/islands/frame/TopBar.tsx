import Moon from "lucide-react/icons/moon";
import type { ReactNode } from "react";
import { KeyMap } from "./KeyMap";
import { Spindle } from "./Spindle";
import { Timers } from "./Timers";
import { TypeLine } from "./TypeLine";
import { Working } from "./Working";

const YEAR_S = 31_536_000;

function switchTheme(): void {
  const root = document.documentElement;
  const isDark = root.dataset["theme"]
    ? root.dataset["theme"] === "nightbench"
    : matchMedia("(prefers-color-scheme: dark)").matches;
  const theme = isDark ? "daybench" : "nightbench";
  root.dataset["theme"] = theme;
  // biome-ignore lint/suspicious/noDocumentCookie: the server reads the theme to draw the first page in it
  document.cookie = `theme=${theme}; path=/; max-age=${YEAR_S}; samesite=strict`;
}

interface TopBarProps {
  readonly title?: ReactNode;
  readonly jobId?: number | undefined;
  readonly right?: ReactNode;
  /** The title is the navigation: on a phone it gets a row of its own. */
  readonly isNavigation?: boolean;
}

/** Brand, what is on screen, the type line, and at the far right whatever must always be seen. */
export function TopBar({ title, jobId, right, isNavigation = false }: TopBarProps) {
  return (
    <>
      <Timers />
      <header className="no-print flex flex-wrap items-center gap-x-3 gap-y-2 md:gap-x-5 border-rule border-b px-4 py-1.5 md:min-h-14">
        <a
          href="/"
          className="flex min-h-11 items-center gap-2.5 whitespace-nowrap font-bold text-lg"
          aria-label="Good Spindle, to the Bench"
        >
          <Spindle />
          <span className={jobId ? "hidden sm:inline" : ""}>Good Spindle</span>
        </a>
        <div
          className={
            isNavigation
              ? "order-last basis-full text-[17px] md:order-none md:flex-1 md:basis-auto"
              : "min-w-0 flex-1 truncate text-[17px]"
          }
        >
          {title}
        </div>
        <div className={`${isNavigation ? "" : "order-last"} min-w-[52px] flex-1 md:order-none md:flex-none`}>
          <TypeLine jobId={jobId} />
        </div>
        <button
          type="button"
          className="grid h-11 w-11 place-items-center rounded-[3px] border border-ring"
          onClick={switchTheme}
          aria-label="Day or night"
        >
          <Moon size={20} />
        </button>
        <button
          type="button"
          className="hidden h-11 w-11 place-items-center rounded-[3px] border border-ring md:grid"
          onClick={() => document.dispatchEvent(new KeyboardEvent("keydown", { key: "?" }))}
          aria-label="Keys"
        >
          <kbd className="num">?</kbd>
        </button>
        {right}
        <Working />
        <KeyMap jobId={jobId} />
      </header>
    </>
  );
}
