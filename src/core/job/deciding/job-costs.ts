import { type Delivery, type Landed, landedPart } from "../../cost/landed-part";
import { priceOfMinute } from "../../cost/price-of-time";
import { cheapestEnd, type End, endCost } from "../../decision/action";
import { endsOf } from "../../decision/ends";
import type { SaidPrices } from "../../decision/figures";
import type { CaseFacts } from "../../decision/making";
import { type KindOfMachine, repairsOn } from "../../knowledge/kind-costs";
import type { Parameters } from "../../knowledge/parameters";
import type { Knowledge } from "../../knowledge/types";
import { withholding } from "../../safety/dangers/danger";
import type { JobView } from "../log/view";

/** What the costs of a job need to know beside it. */
export interface CostContext {
  readonly repairs: Knowledge["repairs"];
  readonly families: Knowledge["families"];
  readonly archetypes: Knowledge["archetypes"];
  readonly access: Knowledge["access"];
  readonly kit: Knowledge["kit"];
  readonly parameters: Parameters;
  readonly settings: { readonly partsMarkupPercent: number; readonly kit: readonly string[] };
}

/** What a job's parts, time and ends cost: the one source of Isolate's figures and of Decide's. Money in minor units. */
export interface JobCosts {
  readonly parts: ReadonlyMap<string, Landed>;
  readonly settled: ReadonlySet<string>;
  readonly assembly: Landed | undefined;
  readonly ends: readonly End[];
  /** Price of a minute for ranking. */
  readonly minuteMinor: number;
  readonly dayMinor: number;
  readonly postageMinor: number;
  readonly years: number;
}

const DONOR = "donor:";

/** Days as the part chosen for a repair has them. */
function daysOf({ parts }: Pick<JobView, "parts">, forPart: string | undefined): number | undefined {
  const chosen = forPart === undefined ? undefined : parts.find((part) => part.forPart === forPart);
  if (!chosen) return undefined;
  return chosen.fromShelf.length > 0 ? 0 : chosen.days;
}

type Priced = Pick<JobView, "said" | "parts">;

/** What the tool of a repair costs where the shop has said what it has, and that is not among it. */
function toolMinor(
  tool: string | undefined,
  { kit, settings }: Pick<CostContext, "kit" | "settings">,
): number {
  if (tool === undefined || settings.kit.length === 0 || settings.kit.includes(tool)) return 0;
  return kit.find(({ id }) => id === tool)?.buyMinor ?? 0;
}

/** What each part costs by the time it is there: as typed or chosen, or as its kind has it. */
export function jobCosts(view: Priced, machine: KindOfMachine, context: CostContext): JobCosts {
  const { parameters, settings, archetypes } = context;
  const said: SaidPrices = view.said;
  const kind = archetypes.find(({ id }) => id === machine.archetype);
  const delivery: Delivery = {
    markupPercent: settings.partsMarkupPercent,
    postageMinor: said["postage"]?.minor ?? parameters["postage-default"],
    usualDays: parameters["order-days"],
    inShopMost: parameters["stock-part-most"],
  };
  const parts = new Map(
    repairsOn(machine, context).map(({ id, partMinor, forPart, tool }) => [
      id,
      landedPart(said[id]?.minor ?? partMinor, daysOf(view, forPart), {
        ...delivery,
        toolMinor: toolMinor(tool, context),
      }),
    ]),
  );
  const assemblyId = kind?.assembly ? `assembly:${kind.assembly.id}` : "";
  return {
    parts,
    settled: new Set(Object.keys(said)),
    assembly:
      kind?.assembly && landedPart(said[assemblyId]?.minor ?? kind.assembly.partMinor, undefined, delivery),
    ends: endsOf({ said, usualMinor: kind?.machine.priceMinor, years: kind?.machine.years }, parameters),
    minuteMinor: priceOfMinute(said["rate"]?.minor, parameters),
    dayMinor: said["day"]?.minor ?? 0,
    postageMinor: delivery.postageMinor,
    years: kind?.machine.years ?? parameters["machine-years-default"],
  };
}

/** The same costs as isolation takes them: whole minor units, days without the machine in them. */
export function isolationCosts({ parts, ends, dayMinor, minuteMinor }: JobCosts) {
  const rates = { ends, minuteMinor, dayMinor };
  return {
    giveUpMinor: Math.round(endCost(cheapestEnd(rates), rates)),
    partPrices: [...parts]
      .map(([repair, { cashMinor, days }]) => ({ repair, minor: Math.round(cashMinor + days * dayMinor) }))
      .filter(({ minor }) => minor > 0),
    ratePerHourMinor: Math.round(minuteMinor * 60),
  };
}

/** The facts of the case: the same costs, time at what was typed for it even where that is nothing, and what a donor's part costs. */
export function caseFacts(
  view: Priced & Pick<JobView, "live">,
  machine: KindOfMachine,
  costs: JobCosts,
): CaseFacts {
  const donors = Object.entries(view.said).flatMap(([of, { minor }]) =>
    of.startsWith(DONOR) ? [[of.slice(DONOR.length), minor] as const] : [],
  );
  const rate = view.said["rate"]?.minor;
  return {
    ...costs,
    machine,
    minuteMinor: rate === 0 ? 0 : costs.minuteMinor,
    donors: new Map(donors),
    // What failed a test, smoked, smelt, tingled or was wet is not given back to be watched, whatever it would save.
    isUnsafe: view.live.toldSeq > 0 || withholding(view.live.dangers, "use").length > 0,
  };
}
