import type { ReactNode } from "react";
import type { Stage } from "@/core/job/stages";
import type { Shop } from "@/core/shop/shop";
import { BenchBadge } from "./BenchBadge";
import { JobLedger } from "./JobLedger";
import { JobShaft } from "./JobShaft";
import { Lapsed } from "./Lapsed";
import { NextBar } from "./NextBar";
import { OwnerCard } from "./OwnerCard";
import { StopBar } from "./StopBar";
import { TopBar } from "./TopBar";
import type { JobScreen } from "./use-job-screen";

interface JobFrameProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly stage: Stage;
  /** The screen has a form of its own to keep, whose foot holds the next step as well. */
  readonly hasOwnFoot?: boolean;
  readonly children: ReactNode;
}

/** What stands around every job screen: the top bar with the bench state, the job's shaft, the ledger, the next step. */
export function JobFrame({ screen, shop, stage, hasOwnFoot = false, children }: JobFrameProps) {
  const { job, summary, collars } = screen;
  const plate = job.plate;
  const facts = [
    plate?.volts ? `${plate.volts} V` : "",
    plate?.hertz ? `${plate.hertz} Hz` : "",
    job.takenIn?.place ?? "",
  ].filter((fact) => fact !== "");
  return (
    <div className="flex min-h-screen flex-col">
      {summary.level === "live" ? <div className="hatched h-1.5" aria-hidden="true" /> : null}
      <TopBar
        jobId={job.jobId}
        title={
          <>
            <b>Job {job.jobId}</b> <span className="ml-1">{job.takenIn?.machine}</span>
            <span className="hidden text-soft lg:inline"> · {facts.join(" · ")}</span>
          </>
        }
        right={<BenchBadge summary={summary} href={`/jobs/${job.jobId}/make-safe`} />}
      />
      <div className="flex flex-1 flex-col md:flex-row">
        <JobShaft jobId={job.jobId} now={stage} collars={collars} />
        <main className="flex min-w-0 flex-1 flex-col px-4 pt-4 md:px-6">
          <Lapsed screen={screen} shop={shop} stage={stage} />
          <StopBar screen={screen} stage={stage} />
          <OwnerCard job={job} shop={shop} stage={stage} />
          {children}
          <JobLedger job={job} shop={shop} stage={stage} />
          {hasOwnFoot ? null : <NextBar screen={screen} shop={shop} stage={stage} />}
        </main>
      </div>
    </div>
  );
}
