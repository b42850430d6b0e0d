import type { JobView } from "@/core/job/log/reduce";
import type { Shop } from "@/core/shop/shop";
import { JobFrame } from "../frame/JobFrame";
import { PlainFrame } from "../frame/PlainFrame";
import { useJobScreen } from "../frame/use-job-screen";
import { useAwake } from "../state/awake";
import { DoorPart } from "./DoorPart";
import { EMPTY_FORM, formFrom, plateFields } from "./form";
import { ImportJob } from "./ImportJob";
import { JobPictures } from "./JobPictures";
import { Owner } from "./Owner";
import { PlainlySeen } from "./PlainlySeen";
import { PlatePart } from "./PlatePart";
import { ComplaintPart, KindPart, MachinePart } from "./TakeInForm";
import { type Begun, useTakeIn } from "./use-take-in";

interface SheetProps {
  readonly job?: JobView;
  readonly ownerName: string;
  readonly shop: Shop;
  readonly begun?: Begun | undefined;
  /** The line of a plate that was typed elsewhere, for this job. */
  readonly plate?: string | undefined;
}

function TakeInSheet({ job, ownerName, shop, begun, plate }: SheetProps) {
  const { form, keep, keepFixed, problem, kept } = useTakeIn(job, ownerName, shop.settings.currency, {
    begun,
    plate,
  });
  return (
    <form onSubmit={keep} noValidate>
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid content-start gap-5">
          <PlatePart form={form} shop={shop} isNew={!job} />
          <MachinePart form={form} shop={shop} isNew={!job} />
          <KindPart form={form} shop={shop} />
        </div>
        <div className="grid content-start gap-5">
          <ComplaintPart form={form} shop={shop} />
          <DoorPart form={form} shop={shop} />
        </div>
      </div>
      <div className="sticky bottom-0 z-10 mt-4 -ml-1 flex flex-wrap items-end gap-4 border-rule border-t bg-paper py-3 pl-1">
        <button type="submit" className="btn btn-primary btn-loud" disabled={form.formState.isSubmitting}>
          {job ? "Keep the changes" : "Take it in"}
        </button>
        {job?.signedOff ? null : (
          <PlainlySeen
            shop={shop}
            isBusy={form.formState.isSubmitting}
            done={job ? "Seen, fixed" : "Take it in: seen, fixed"}
            onFixed={(seen) => void keepFixed(seen)}
          />
        )}
        <p role={problem ? "alert" : "status"} className={problem ? "font-semibold text-oxide" : "text-soft"}>
          {problem ?? kept ?? "Put aside on this device as you type."}
        </p>
      </div>
    </form>
  );
}

interface NewJobProps {
  readonly shop: Shop;
  /** The job it begins from: the same machine again, or its twin. */
  readonly earlier?: JobView | undefined;
  readonly as?: "same" | "twin";
  /** The line of a plate that was typed elsewhere. */
  readonly plate?: string | undefined;
}

function begunFrom({ shop, earlier, as = "same", plate }: NewJobProps): Begun | undefined {
  if (earlier) return { key: `${as}-${earlier.jobId}`, form: formFrom(earlier, as, shop.settings.currency) };
  return plate ? { key: `plate-${plate}`, form: { ...EMPTY_FORM, ...plateFields(plate) } } : undefined;
}

/** A machine at the door that has no job yet. */
export function NewJobScreen(props: NewJobProps) {
  const isAwake = useAwake();
  return (
    <PlainFrame path={undefined}>
      <h1 className="mb-3 font-bold text-[28px] leading-tight">Take in a machine</h1>
      {isAwake ? <TakeInSheet ownerName="" shop={props.shop} begun={begunFrom(props)} /> : null}
      {isAwake ? <ImportJob /> : null}
    </PlainFrame>
  );
}

interface TakeInProps extends SheetProps {
  readonly job: JobView;
  readonly ownerContact: string;
}

export function TakeInScreen({ job, ownerName, ownerContact, shop, plate }: TakeInProps) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="take-in">
      <h1 className="mb-3 font-bold text-[28px] leading-tight">
        Tag <span className="num">{job.jobId}</span>
        {isAwake ? <Owner jobId={job.jobId} name={ownerName} contact={ownerContact} /> : null}
        <span className="ml-5 inline-flex flex-wrap gap-3 align-middle font-normal text-base">
          <a className="btn btn-outline" href={`/jobs/${job.jobId}/tag`}>
            Tag to print
          </a>
          <a className="btn btn-outline" href={`/jobs/new?from=${job.jobId}&as=same`}>
            Begin a new job from it
          </a>
          <a className="btn btn-outline" href={`/api/jobs/${job.jobId}/archive`} download>
            File for another shop
          </a>
        </span>
      </h1>
      {isAwake ? <JobPictures job={screen.job} /> : null}
      {isAwake ? <TakeInSheet job={screen.job} ownerName={ownerName} shop={shop} plate={plate} /> : null}
    </JobFrame>
  );
}
