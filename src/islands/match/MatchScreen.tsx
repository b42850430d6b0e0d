import type { JobView } from "@/core/job/log/view";
import { familyOf } from "@/core/matching/places";
import { supplyOf } from "@/core/nameplate/supply";
import type { Shop } from "@/core/shop/shop";
import { JobFrame } from "../frame/JobFrame";
import { useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { FamilyPicker, familyInAddress, type NamedFamily } from "./FamilyPicker";
import { MatchSheet } from "./MatchSheet";
import { Orders } from "./Orders";
import { TakeIt } from "./TakeIt";
import { TakeTogether } from "./TakeTogether";

interface MatchProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly families: readonly NamedFamily[];
  /** The family of the part that a repair is done with, by the repair. */
  readonly partOf: Readonly<Record<string, string>>;
}

/** The family that the job is about: what was decided, what read faulty, or what is marked. */
function familyFor(job: JobView, shop: Shop, partOf: MatchProps["partOf"]): string {
  const decided = job.decision?.repairs.flatMap((repair) => partOf[repair] ?? [])[0];
  const bad = job.readings
    .filter(({ finding }) => finding.verdict === "faulty")
    .flatMap(({ moveId }) => shop.moves.find(({ id }) => id === moveId)?.part?.place ?? [])
    .at(-1);
  const place = decided ?? bad ?? job.parts.at(-1)?.forPart ?? job.capacitors[0]?.id;
  return place === undefined ? "fuse" : familyOf(place);
}

function Matcher({ job, shop, families, partOf }: MatchProps) {
  const [chosen, setChosen] = useDraft<string | undefined>(`match:${job.jobId}`, undefined);
  const family = familyInAddress(families) ?? chosen ?? familyFor(job, shop, partOf);
  const pick = (next: string): void => {
    // What the address asked for has been looked at.
    window.history.replaceState(null, "", window.location.pathname);
    setChosen(next);
  };
  const picker = <FamilyPicker families={families} family={family} onPick={pick} />;
  return (
    <MatchSheet
      key={family}
      job={job}
      currency={shop.settings.currency}
      family={family}
      picker={picker}
      action={(one, about) => <TakeIt one={one} job={job} {...about} />}
      inPlace={(one, about) => <TakeTogether one={one} job={job} {...about} />}
    />
  );
}

/** Match: what is needed, with where each value comes from, and what may be fitted, with the reason in words. */
export const MatchScreen = withShop(function MatchScreen(props: MatchProps) {
  const { job: fromPage, shop } = props;
  const screen = useJobScreen(fromPage, shop);
  const { job } = screen;
  const isAwake = useAwake();
  const supply = supplyOf(job.plate?.volts ?? "", shop.settings.volts);
  return (
    <JobFrame screen={screen} shop={shop} stage="match">
      {supply.plateDisagrees === undefined ? null : (
        <p role="status" className="mb-3 font-semibold text-brass" data-testid="supply-disagrees">
          The plate says {supply.plateDisagrees} V, the shop has {shop.settings.volts} V. Settle which of them
          feeds it before anything is fitted: until then the higher one decides.
        </p>
      )}
      {isAwake ? <Matcher {...props} job={job} /> : null}
      <Orders job={job} shop={shop} />
    </JobFrame>
  );
});
