import type { JobView } from "@/core/job/log/view";
import type { Shop } from "@/core/shop/shop";
import { JobFrame } from "../frame/JobFrame";
import { NextLink } from "../frame/NextBar";
import { PlainFrame } from "../frame/PlainFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { ComplaintPart } from "./ComplaintPart";
import { EMPTY_FORM, formFrom, plateFields } from "./form";
import { ImportJob } from "./ImportJob";
import { JobPictures } from "./JobPictures";
import { KindPart } from "./KindPart";
import { MachinePart } from "./MachinePart";
import { Owner } from "./Owner";
import { PlainlySeen } from "./PlainlySeen";
import { PlatePart } from "./PlatePart";
import { type Begun, useTakeIn } from "./use-take-in";

interface SheetProps {
  /** The job as its screen has it; none at the door. */
  readonly screen?: JobScreen;
  readonly ownerName: string;
  readonly shop: Shop;
  readonly begun?: Begun | undefined;
  /** The line of a plate that was typed elsewhere, for this job. */
  readonly plate?: string | undefined;
}

function TakeInSheet({ screen, ownerName, shop, begun, plate }: SheetProps) {
  const job = screen?.job;
  const { form, keep, problem, kept } = useTakeIn(job, ownerName, shop, { begun, plate });
  // As it was kept, not as a draft has it: what is taken back is held against that.
  const before = job?.takenIn ?? (begun?.form.from?.as === "same" ? begun.form : null);
  const { isSubmitting } = form.formState;
  const isBack = (job?.reopened?.seq ?? 0) > (job?.complaint?.seq ?? 0);
  // What it does now is asked even where nothing of it changed.
  const isDirty = form.formState.isDirty || isBack;
  return (
    <form onSubmit={keep} noValidate>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <ComplaintPart form={form} shop={shop} isBack={isBack} />
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-6">
          <MachinePart form={form} shop={shop} isNew={!job} />
          <PlatePart form={form} shop={shop} isNew={!job} />
          <KindPart form={form} shop={shop} before={before} />
        </div>
      </div>
      <div className="sticky bottom-0 z-20 -mx-1 mt-4 flex flex-wrap items-center gap-x-2 gap-y-2 border-rule border-t bg-paper px-1 py-2 md:gap-x-4">
        {screen && !isDirty ? <NextLink screen={screen} shop={shop} stage="take-in" /> : null}
        <button
          type="submit"
          className={`btn ${screen && !isDirty ? "btn-outline btn-bench" : "btn-primary btn-loud"} px-4 md:px-7`}
          disabled={isSubmitting}
        >
          {job ? "Keep the changes" : "Take it in"}
        </button>
        {job?.signedOff || job?.decision ? null : <PlainlySeen form={form} shop={shop} />}
        <p
          role={problem ? "alert" : "status"}
          className={problem ? "basis-full font-semibold text-oxide" : "hidden text-soft md:block"}
        >
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
export const NewJobScreen = withShop(function NewJobScreen(props: NewJobProps) {
  const isAwake = useAwake();
  return (
    <PlainFrame path={undefined}>
      <h1 className="mb-1 font-bold text-xl leading-tight md:mb-3 md:text-[28px]">Take in a machine</h1>
      {isAwake ? <TakeInSheet ownerName="" shop={props.shop} begun={begunFrom(props)} /> : null}
      {isAwake ? <ImportJob /> : null}
    </PlainFrame>
  );
});

interface TakeInProps extends Omit<SheetProps, "screen" | "begun"> {
  readonly job: JobView;
  readonly ownerContact: string;
}

export const TakeInScreen = withShop(function TakeInScreen({
  job,
  ownerName,
  ownerContact,
  shop,
  plate,
}: TakeInProps) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="take-in" hasOwnFoot>
      <h1 className="mb-3 font-bold text-[28px] leading-tight">
        Tag <span className="num">{job.jobId}</span>
        {isAwake ? (
          <Owner ownerId={job.takenIn?.ownerId ?? null} name={ownerName} contact={ownerContact} />
        ) : null}
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
      {isAwake ? <TakeInSheet screen={screen} ownerName={ownerName} shop={shop} plate={plate} /> : null}
    </JobFrame>
  );
});
