import { useStore } from "@nanostores/react";
import { useEffect, useRef } from "react";
import { withFound } from "@/core/job/isolation/next-found";
import type { NextStep } from "@/core/job/next-step";
import type { Stage } from "@/core/job/stages";
import type { Shop } from "@/core/shop/shop";
import { stepAction, stepHref, stepWords } from "@/words/steps";
import { NEXT_STEP } from "../fields/move-on";
import { useAwake, WAKING } from "../state/awake";
import { $found } from "../state/found";
import { bringIntoView, goToAnchor } from "./anchor";
import { Clock } from "./Clock";
import { onKey } from "./keys";
import { Undo } from "./Undo";
import type { JobScreen } from "./use-job-screen";

interface BarProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly stage: Stage;
}

/** The thing to do next on the page itself, where its anchor is none of the page's parts. */
function showHere(anchor: string | undefined): void {
  if (anchor !== undefined) goToAnchor(anchor);
  else bringIntoView(document.querySelector<HTMLElement>("main .move"));
}

/** The next step as the one loud control of a job screen. */
export function NextLink({ screen, shop, stage }: BarProps) {
  const { job } = screen;
  const step = useNextStep(screen, shop);
  const link = useRef<HTMLAnchorElement>(null);
  useEffect(() => onKey("g", () => link.current?.click()), []);
  // The owner's card stands on every screen of the job.
  const isHere = (step.stage === stage || step.at === "owner") && step.code !== "gone";
  return (
    <a
      ref={link}
      id={NEXT_STEP}
      className={`btn ${isHere ? "btn-outline btn-bench border-2 border-teal" : "btn-primary btn-loud"} max-w-full`}
      href={stepHref(step, job.jobId)}
      onClick={(event) => {
        if (!isHere) return;
        event.preventDefault();
        showHere(step.at);
      }}
    >
      {stepAction(step)}{" "}
      <span aria-hidden="true" className="key key-hint hidden md:inline">
        g
      </span>
    </a>
  );
}

/** The next step of the job, with what isolation knows of it where a screen has asked. */
export function useNextStep(screen: JobScreen, shop: Shop): NextStep {
  const found = useStore($found, WAKING);
  return withFound(screen.step, found?.jobId === screen.job.jobId ? found : undefined, shop.moves);
}

/** The one next step of the job, at the foot of each of its screens: named, one tap away, brought into view where it is here. */
export function NextBar(props: BarProps) {
  const { screen, shop, stage } = props;
  const isAwake = useAwake();
  const step = useNextStep(screen, shop);
  return (
    <div
      className="no-print sticky bottom-0 z-20 -mx-4 mt-auto flex flex-wrap items-center gap-x-5 gap-y-1 border-rule border-t bg-paper px-4 py-2 md:-mx-6 md:px-6"
      data-testid="next-bar"
    >
      <p
        className={`min-w-0 flex-1 basis-24 truncate text-soft md:block md:basis-40 ${step.band === "now" ? "hidden" : ""}`}
        data-testid="next-words"
      >
        {stepWords(step, shop.settings.zone)}
      </p>
      {isAwake ? <Clock job={screen.job} stage={stage} /> : null}
      {isAwake ? <Undo job={screen.job} shop={shop} stage={stage} /> : null}
      <NextLink {...props} />
    </div>
  );
}
