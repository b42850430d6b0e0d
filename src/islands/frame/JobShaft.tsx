import type { CollarState } from "@/core/job/next-step";
import { STAGE_LABELS, STAGES, type Stage } from "@/core/job/stages";

const STATE_WORDS: Readonly<Record<CollarState, string>> = {
  done: "done",
  attention: "needs attention",
  "to-come": "to come",
  locked: "locked until all is back",
};

interface CollarProps {
  readonly state: CollarState;
  readonly isNow: boolean;
}

/** Thick when you are on it, solid when done, notched when it needs attention, a thin ring when to come, barred while locked. */
export function Collar({ state, isNow }: CollarProps) {
  if (isNow)
    return (
      <g>
        <rect x="10" y="0" width="40" height="30" rx="3" className="fill-ink" />
        <rect x="10" y="0" width="6" height="30" className="fill-teal" />
      </g>
    );
  if (state === "done") return <rect x="15" y="6" width="30" height="18" rx="2" className="fill-ink" />;
  if (state === "locked")
    return (
      <g>
        <rect
          x="18"
          y="10"
          width="24"
          height="10"
          rx="2"
          className="fill-paper stroke-ring"
          strokeWidth="2"
        />
        <path d="M14 4v22M46 4v22" className="stroke-ink" strokeWidth="4" />
      </g>
    );
  if (state === "attention") return <path d="M15 6h30v18H15v-6h7v-6h-7z" className="fill-ink" />;
  return (
    <rect x="18" y="10" width="24" height="10" rx="2" className="fill-paper stroke-ring" strokeWidth="2" />
  );
}

interface ShaftProps {
  readonly jobId: number;
  readonly now: Stage | undefined;
  readonly collars: Readonly<Record<Stage, CollarState>>;
}

function StageLink({ stage, jobId, now, collars }: ShaftProps & { readonly stage: Stage }) {
  const isNow = stage === now;
  const state = collars[stage];
  const body = (
    <>
      <svg viewBox="0 0 60 30" className="h-[30px] w-full max-w-[48px] md:max-w-[60px]" aria-hidden="true">
        <Collar state={state} isNow={isNow} />
      </svg>
      <span className={`hidden md:inline ${isNow ? "font-bold" : state === "done" ? "" : "text-soft"}`}>
        {STAGE_LABELS[stage]}
      </span>
    </>
  );
  const label = `${STAGE_LABELS[stage]}, ${isNow ? "you are here" : STATE_WORDS[state]}`;
  const look = "relative flex h-12 w-full items-center justify-center md:h-[78px] md:justify-start";
  return (
    <a
      className={look}
      href={`/jobs/${jobId}/${stage}`}
      aria-label={label}
      aria-current={isNow ? "page" : undefined}
    >
      {body}
    </a>
  );
}

/** The job's shaft: down the left edge, or along the top on a phone. The only navigation inside a job. */
export function JobShaft(props: ShaftProps) {
  return (
    <nav
      aria-label="Stages of this job"
      className="relative border-rule border-b md:w-[150px] md:shrink-0 md:border-r md:border-b-0"
    >
      <div
        className="absolute top-[21px] right-0 left-0 h-[6px] bg-steel md:top-0 md:right-auto md:bottom-0 md:left-[27px] md:h-auto md:w-[6px]"
        aria-hidden="true"
      />
      <ol className="relative flex justify-center md:block md:pt-2">
        {STAGES.map((stage) => (
          <li key={stage} className="min-w-0 max-w-12 flex-1 md:max-w-none">
            <StageLink {...props} stage={stage} />
          </li>
        ))}
      </ol>
      <p className="relative bg-paper px-4 pb-1 text-center font-semibold md:hidden">
        {props.now ? STAGE_LABELS[props.now] : ""}
      </p>
    </nav>
  );
}

/** Eight collars in a row: where a machine of the Bench stands. */
export function MiniShaft({ now, collars }: Omit<ShaftProps, "jobId">) {
  return (
    <svg
      viewBox="0 0 184 30"
      className="h-6 w-[147px]"
      role="img"
      aria-label={now ? `Stands at ${STAGE_LABELS[now]}` : "Stages"}
    >
      <rect x="0" y="13" width="184" height="4" className="fill-steel" />
      {STAGES.map((stage, index) => (
        <g key={stage} transform={`translate(${index * 23} 0) scale(0.42 1) translate(0 0)`}>
          <Collar state={collars[stage]} isNow={stage === now} />
        </g>
      ))}
    </svg>
  );
}
