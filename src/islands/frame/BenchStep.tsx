import type { Stage } from "@/core/job/stages";
import type { BenchGap } from "@/core/safety/bench-gaps";
import { isHoldable } from "@/core/safety/holdable";
import { HoldItem } from "./HoldItem";
import { KindQuestions } from "./KindQuestions";
import { PlugQuestion } from "./PlugQuestion";
import type { JobScreen } from "./use-job-screen";

const TITLES: Readonly<Record<BenchGap, string>> = {
  stop: "Not opened here: high voltage",
  plug: "First: is the plug out?",
  battery: "First: is the battery out?",
  charge: "First: is anything charged?",
  coasting: "First: does it stand still?",
  kind: "First: what can hurt in it?",
  springs: "First: hold the springs",
  "lifted-load": "First: prop the load",
  pressure: "First: let the pressure off",
  heat: "First: let it cool",
  belt: "First: hold the belt",
  blades: "First: block the blades",
};

/** What is asked first, as a heading. */
export function benchTitle(gap: BenchGap, screen: JobScreen): string {
  if (gap === "plug" && screen.job.machine.connection === "fixed") return "First: is it isolated?";
  const isIn = gap === "plug" && screen.bench.plug === "plugged-in";
  return isIn ? "First: pull the plug" : TITLES[gap];
}

interface StepProps {
  readonly gap: BenchGap;
  readonly screen: JobScreen;
  readonly stage: Stage;
  onSettled?(): void;
}

/** The one thing that is settled next before hands go in, where it can be settled: here, or in Make safe. */
export function BenchStep({ gap, screen, stage, onSettled }: StepProps) {
  const { job } = screen;
  const isIn = screen.bench.plug === "plugged-in";
  const settled = onSettled === undefined ? {} : { onSettled };
  if (gap === "stop") return <p>Pass it to someone who works on high voltage.</p>;
  if (gap === "plug" || gap === "battery")
    return <PlugQuestion job={job} stage={stage} isIn={isIn} {...settled} />;
  if (gap === "kind") return <KindQuestions job={job} stage={stage} {...settled} />;
  if (isHoldable(gap)) return <HoldItem job={job} stage={stage} id={gap} {...settled} />;
  return (
    <a className="btn btn-primary btn-loud" href={`/jobs/${job.jobId}/make-safe#charge`}>
      Read the volts
    </a>
  );
}
