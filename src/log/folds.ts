import type { EnergyOf } from "./energy-of";
import { energy as acceptanceRunEnergy } from "./kinds/acceptance-run/energy";
import { energy as answerEnergy } from "./kinds/answer/energy";
import { energy as benchStateEnergy } from "./kinds/bench-state/energy";
import { energy as closedEnergy } from "./kinds/closed/energy";
import { energy as complaintEnergy } from "./kinds/complaint/energy";
import { view as complaintView } from "./kinds/complaint/view";
import { energy as interventionEnergy } from "./kinds/intervention/energy";
import { view as interventionView } from "./kinds/intervention/view";
import { energy as nameplateEnergy } from "./kinds/nameplate/energy";
import { view as nameplateView } from "./kinds/nameplate/view";
import { energy as openedEnergy } from "./kinds/opened/energy";
import { view as ownerAnswerView } from "./kinds/owner-answer/view";
import { energy as partChosenEnergy } from "./kinds/part-chosen/energy";
import { energy as readingEnergy } from "./kinds/reading/energy";
import { view as readingView } from "./kinds/reading/view";
import { energy as refittedEnergy } from "./kinds/refitted/energy";
import { energy as removedEnergy } from "./kinds/removed/energy";
import { energy as reopenedEnergy } from "./kinds/reopened/energy";
import { energy as signedOffEnergy } from "./kinds/signed-off/energy";
import { energy as takenInEnergy } from "./kinds/taken-in/energy";
import type { EntryKind } from "./schemas";
import { fold, last, latestBy, list, ofThisVisit, type ViewParts } from "./view-part";

/** What the lines of a kind come to. */
interface Fold<K extends EntryKind> {
  /** What it does to the energy in the machine, or that it does nothing. */
  readonly energy: EnergyOf<K> | "nothing";
  /** The parts of the view that it brings, that the reducer reads it together with other kinds, or nothing. */
  readonly view: ViewParts<K> | "together" | "nothing";
}

/** Every kind says both: one that is left out does not compile. */
export const FOLDS = {
  "taken-in": { energy: takenInEnergy, view: { takenIn: last<"taken-in">() } },
  nameplate: { energy: nameplateEnergy, view: nameplateView },
  complaint: { energy: complaintEnergy, view: complaintView },
  "bench-state": { energy: benchStateEnergy, view: "nothing" },
  opened: { energy: openedEnergy, view: "nothing" },
  closed: { energy: closedEnergy, view: "nothing" },
  answer: { energy: answerEnergy, view: "together" },
  intervention: { energy: interventionEnergy, view: interventionView },
  reading: { energy: readingEnergy, view: readingView },
  "part-chosen": {
    energy: partChosenEnergy,
    view: {
      /** The last part chosen for each place. */
      parts: latestBy<"part-chosen">(({ forPart }) => forPart),
    },
  },
  built: {
    energy: "nothing",
    view: {
      /** Stations that the machine was said to have; null while its kind decides. */
      stations: fold<"built", readonly string[] | null>(null, (lines) => lines.at(-1)?.stations ?? null),
    },
  },
  priced: { energy: "nothing", view: "together" },
  decision: { energy: "nothing", view: { decision: last<"decision">() } },
  picture: { energy: "nothing", view: { pictures: list<"picture">() } },
  removed: { energy: removedEnergy, view: "together" },
  pinned: { energy: "nothing", view: "together" },
  reordered: {
    energy: "nothing",
    view: {
      /** The order to put back in, where one was set by hand: lines, first one first. */
      order: fold<"reordered", readonly number[]>([], (lines) => lines.at(-1)?.lines ?? []),
    },
  },
  refitted: { energy: refittedEnergy, view: "together" },
  "acceptance-run": { energy: acceptanceRunEnergy, view: { runs: list<"acceptance-run">() } },
  "signed-off": { energy: signedOffEnergy, view: "together" },
  "not-done": { energy: "nothing", view: "nothing" },
  "owner-answer": { energy: "nothing", view: ownerAnswerView },
  "order-linked": {
    energy: "nothing",
    view: {
      /** Parts that had to be bought, each as it stands. */
      orders: latestBy<"order-linked">(({ part }) => part),
    },
  },
  "time-spent": {
    energy: "nothing",
    view: {
      /** Seconds at the bench on this visit, counted and corrected. */
      secondsSpent: ofThisVisit(
        fold<"time-spent", number>(0, (lines) => lines.reduce((sum, { seconds }) => sum + seconds, 0)),
      ),
    },
  },
  "timer-started": { energy: "nothing", view: { timers: list<"timer-started">() } },
  "follow-up": { energy: "nothing", view: "together" },
  "followed-up": { energy: "nothing", view: "together" },
  reopened: {
    energy: reopenedEnergy,
    view: {
      /** Why it was opened again, the last time. */
      reopened: last<"reopened">(),
    },
  },
  note: { energy: "nothing", view: "nothing" },
  // What a strike takes away is said by the line it strikes.
  struck: { energy: "nothing", view: "nothing" },
  restored: { energy: "nothing", view: "nothing" },
} satisfies { readonly [K in EntryKind]: Fold<K> };

type Folds = typeof FOLDS;
// Over the lines that are here: a kind that is left out is missed above, once, and not wherever a view is read.
type Parts = Exclude<Folds[keyof Folds]["view"], string>;
type AllOf<U> = (U extends unknown ? (of: U) => void : never) extends (of: infer I) => void ? I : never;

/** All parts of the view that one kind alone brings. */
export type KindParts = {
  readonly [N in keyof AllOf<Parts>]: AllOf<Parts>[N] extends {
    readonly initial: unknown;
    of(...given: never): infer T;
  }
    ? T
    : never;
};
