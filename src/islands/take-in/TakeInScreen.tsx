import type { JobView } from "@/core/job/reduce";
import type { Shop } from "@/core/shop/shop";
import { JobFrame } from "../frame/JobFrame";
import { PlainFrame } from "../frame/PlainFrame";
import { useJobScreen } from "../frame/use-job-screen";
import { useAwake } from "../state/awake";
import { ComplaintPart, KindPart, MachinePart, PlatePart } from "./TakeInForm";
import { useTakeIn } from "./use-take-in";

interface SheetProps {
  readonly job?: JobView;
  readonly ownerName: string;
  readonly shop: Shop;
}

function TakeInSheet({ job, ownerName, shop }: SheetProps) {
  const { form, keep, problem, kept } = useTakeIn(job, ownerName, shop.settings.currency);
  return (
    <form onSubmit={keep} noValidate>
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid content-start gap-5">
          <MachinePart form={form} shop={shop} isNew={!job} />
          <PlatePart form={form} />
          <KindPart form={form} shop={shop} />
        </div>
        <ComplaintPart form={form} shop={shop} />
      </div>
      <div className="sticky bottom-0 z-10 mt-4 flex flex-wrap items-center gap-4 border-rule border-t bg-paper py-3">
        <button type="submit" className="btn btn-primary btn-loud" disabled={form.formState.isSubmitting}>
          {job ? "Keep the changes" : "Take it in"}
        </button>
        <p role={problem ? "alert" : "status"} className={problem ? "font-semibold text-oxide" : "text-soft"}>
          {problem ?? kept ?? "Put aside on this device as you type."}
        </p>
      </div>
    </form>
  );
}

/** A machine at the door that has no job yet. */
export function NewJobScreen({ shop }: { readonly shop: Shop }) {
  const isAwake = useAwake();
  return (
    <PlainFrame path={undefined}>
      <h1 className="mb-3 font-bold text-[28px] leading-tight">Take in a machine</h1>
      {isAwake ? <TakeInSheet ownerName="" shop={shop} /> : null}
    </PlainFrame>
  );
}

export function TakeInScreen({ job, ownerName, shop }: SheetProps & { readonly job: JobView }) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="take-in">
      <h1 className="mb-3 font-bold text-[28px] leading-tight">
        Tag <span className="num">{job.jobId}</span>
        {ownerName ? <span className="ml-3 font-normal text-lg text-soft">{ownerName}</span> : null}
      </h1>
      {isAwake ? <TakeInSheet job={screen.job} ownerName={ownerName} shop={shop} /> : null}
    </JobFrame>
  );
}
