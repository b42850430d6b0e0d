import { useRef, useState } from "react";
import type { RatedMove } from "@/core/isolation/rated-move";
import type { Circumstance } from "@/core/knowledge/circumstances";
import type { Knowledge } from "@/core/knowledge/types";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import { faultLabel } from "../engine/names";
import { Choices } from "../fields/Choices";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { Care } from "./Care";
import { CoverOff } from "./CoverOff";
import { gapsOf, MakeReady, WayThere } from "./MakeReady";
import type { MoveProps } from "./move-props";
import { SaysNothing } from "./SaysNothing";
import { ToolReading } from "./ToolReading";
import { ToTheSheet } from "./ToTheSheet";

/** For so long after a card came up a tap on it may have been meant for the one before. */
const JUST_CHANGED_MS = 600;

// Never "wet": power is not put on a wet machine to see what it does.
const CIRCUMSTANCES: readonly { readonly value: Circumstance; readonly label: string }[] = [
  { value: "cold", label: "Cold" },
  { value: "hot", label: "Hot" },
  { value: "loaded", label: "Under load" },
];

/** Where an answer would lead: the few names that would carry most of the doubt. */
function thenWords(knowledge: Knowledge, rated: RatedMove | undefined, outcomeId: string): string {
  const then = rated?.answers.find((one) => one.outcomeId === outcomeId)?.then ?? [];
  const first = then[0]?.split("+").map((id) => inSentence(faultLabel(knowledge, id)));
  return first ? `then ${first.join(" and ")}` : "";
}

/** What the log knows of the state that this move needs; never a guess about guards. */
function stateWords({ move, screen }: Pick<MoveProps, "move" | "screen">): string {
  const { opened } = screen.bench;
  if (move.power !== "off") {
    const covers =
      opened.length === 0
        ? "no cover noted as open"
        : `${opened.length === 1 ? "1 cover" : `${opened.length} covers`} open`;
    return `Power on, ${covers}`;
  }
  if (move.needs === "none") return "Nothing to make safe";
  return screen.gaps(move.needs).length === 0 ? "Made safe as it needs" : "Make safe first";
}

function Facts({ move, rated, screen }: Pick<MoveProps, "move" | "rated" | "screen">) {
  return (
    <p className="mb-2 flex flex-wrap items-center gap-x-6 text-soft">
      <span>
        <b className="font-semibold text-ink">{move.minutes} min</b>
        {rated && rated.stateMinutes > 0 ? ` and ${rated.stateMinutes} to get there` : ""}
      </span>
      <span>{stateWords({ move, screen })}</span>
      {move.tier === 3 ? <b className="text-oxide">Something turns or is live: hands off</b> : null}
      <a
        className="ml-auto inline-flex min-h-11 items-center text-teal underline underline-offset-4"
        href={`/knowledge/moves/${move.id}`}
      >
        Where these chances come from
      </a>
    </p>
  );
}

interface AnswersProps extends MoveProps {
  onKeep(outcomeId: string, isTap: boolean): void;
  readonly isBusy: boolean;
}

function Answers({ move, rated, knowledge, onKeep, isBusy }: AnswersProps) {
  return (
    <div className="grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
      {move.outcomes.map((outcomeId) => {
        const chance = rated?.answers.find((one) => one.outcomeId === outcomeId)?.chance;
        return (
          <button
            key={outcomeId}
            type="button"
            disabled={isBusy}
            onClick={(event) => onKeep(outcomeId, event.detail > 0)}
            className="min-h-14 rounded-[3px] border-2 border-teal bg-paper px-4 py-2 text-left"
          >
            <span className="block font-semibold text-lg leading-tight">
              {move.answers[outcomeId] ?? outcomeId}
            </span>
            <span className="block text-[15px] text-soft leading-tight">
              {[chance === undefined ? "" : formatChance(chance), thenWords(knowledge, rated, outcomeId)]
                .filter((part) => part !== "")
                .join(", ")}
            </span>
          </button>
        );
      })}
    </div>
  );
}

function AnswerPart(props: MoveProps) {
  const { screen, move } = props;
  const { post, problem, isBusy } = usePost(screen.job.jobId);
  const [circumstance, setCircumstance] = useState<Circumstance>("cold");
  const isReady = screen.gaps(move.needs).length === 0 && screen.liveGaps(move.power).length === 0;
  const shownAt = useRef(Date.now());
  const [asked, setAsked] = useState<string | undefined>(undefined);
  const keep = (outcomeId: string, isTap = false): void => {
    // A finger on its way to the card before this one: asked, not kept.
    if (isTap && Date.now() - shownAt.current < JUST_CHANGED_MS) {
      setAsked(outcomeId);
      return;
    }
    setAsked(undefined);
    void post({
      kind: "answer",
      stage: "isolate",
      payload: { moveId: move.id, outcomeId, circumstance, taken: isReady ? "now" : "afterwards" },
    });
  };
  return (
    <>
      {isReady ? null : (
        <p className="mb-2 font-semibold text-brass">
          Kept as entered afterwards
          {move.power === "off"
            ? "."
            : ", done without what live work asks for: it never counts for “repaired”."}
        </p>
      )}
      {move.power === "off" ? null : (
        <div className="mb-3">
          <Choices<Circumstance>
            legend="The machine is"
            name="circumstance"
            choices={CIRCUMSTANCES}
            value={circumstance}
            onChoose={setCircumstance}
          />
        </div>
      )}
      {asked === undefined ? null : (
        <p role="alert" className="mb-2 flex flex-wrap items-center gap-3 font-semibold text-brass">
          The card has just changed. Is it “{move.answers[asked] ?? asked}” for “{inSentence(move.title)}”?
          <button type="button" className="btn btn-outline" onClick={() => keep(asked)}>
            Yes, keep it
          </button>
          <button type="button" className="btn btn-outline" onClick={() => setAsked(undefined)}>
            No
          </button>
        </p>
      )}
      <Answers {...props} isBusy={isBusy} onKeep={keep} />
      <Problem text={problem} />
      <SaysNothing
        job={screen.job}
        move={move}
        knowledge={props.knowledge}
        isReady={isReady}
        onNotSure={() => keep("not-sure")}
      />
    </>
  );
}

/** Doubt in the same coarse steps as chances. */
function doubtWords(removed: number): string {
  return removed < 0.05
    ? "Takes a little of the doubt away."
    : `Takes ${formatChance(removed)} of the doubt away.`;
}

/** Why this move is not the one advised: what it comes to beside the first, and whether it waits for its tier. */
function WhyNotFirst({
  move,
  rated,
  first,
  knowledge,
  shop,
}: MoveProps & { readonly first: RatedMove | undefined }) {
  const advised = knowledge.moves.find(({ id }) => id === first?.moveId);
  if (!first || !advised) return null;
  const money = (minor: number): string => formatMoney(Math.round(minor), shop.settings.currency);
  const words = rated
    ? `Done first it comes to ${money(rated.expectedTotal)} in all; “${inSentence(advised.title)}” first, to ${money(first.expectedTotal)}.`
    : `None of its answers is worth its minutes now; “${inSentence(advised.title)}” is.`;
  const tier =
    move.tier > first.tier ? " It is live: unplugged moves come first while one is worth its price." : "";
  return (
    <p className="mb-1" data-testid="why-not">
      <b className="font-semibold">Why it is not first:</b> {words}
      {tier}
    </p>
  );
}

/** The next move: what to do, why, in which state, and its answers as large buttons or one number field. */
export function NextMove(
  props: MoveProps & {
    readonly isRaised: boolean;
    readonly isOwnChoice: boolean;
    readonly first: RatedMove | undefined;
    /** What it asks before the part is ordered. */
    readonly before: string | undefined;
    /** Work on it has begun. */
    onStay(): void;
  },
) {
  const { move, screen, isRaised, isOwnChoice, before } = props;
  const gaps = gapsOf(screen, move);
  const isReady = gaps.bench.length === 0 && gaps.live.length === 0;
  const tool = props.shop.tools.find(({ judges }) => judges.includes(move.id));
  const likeliest = [...(props.rated?.answers ?? [])].sort((one, other) => other.chance - one.chance)[0];
  const why = likeliest
    ? `${doubtWords(props.rated?.doubtRemoved ?? 0)} Likeliest answer: ${inSentence(move.answers[likeliest.outcomeId] ?? likeliest.outcomeId)}, ${formatChance(likeliest.chance)}, ${thenWords(props.knowledge, props.rated, likeliest.outcomeId)}.`
    : "It would change nothing that is done next.";
  return (
    <section aria-label="Next move" className="move px-5 py-4" data-testid="next-move">
      <h2 className="font-semibold text-soft">
        {isReady
          ? before
            ? "Before the order"
            : isOwnChoice
              ? "Your choice"
              : "Next move"
          : "Make it safe for this"}
      </h2>
      {isReady ? (
        <h1 className="font-bold text-2xl leading-tight tracking-tight md:text-[32px]">{move.title}</h1>
      ) : (
        <>
          <WayThere screen={screen} shop={props.shop} move={move} />
          <h3 className="font-bold text-xl leading-tight">{move.title}</h3>
        </>
      )}
      {before ? (
        <p className="mt-1 font-semibold text-[17px] text-brass" data-testid="before">
          {before}
        </p>
      ) : null}
      <p className="mt-1 text-[17px]">{move.how}</p>
      <Care job={screen.job} move={move} shop={props.shop} knowledge={props.knowledge} />
      {before && !props.rated ? null : <p className="mb-1 text-soft">{why}</p>}
      {isOwnChoice ? <WhyNotFirst {...props} /> : null}
      {isRaised && !isOwnChoice ? (
        <p className="mb-1 font-semibold text-brass">
          Live, since no unplugged move left could change the decision.
        </p>
      ) : null}
      <Facts {...props} />
      {isReady ? <CoverOff screen={screen} shop={props.shop} move={move} onOpened={props.onStay} /> : null}
      <MakeReady screen={screen} move={move}>
        {tool && !tool.alsoByHand ? (
          <ToolReading key={`${tool.id}:${move.id}`} {...props} toolId={tool.id} />
        ) : (
          <AnswerPart {...props} />
        )}
        {tool?.alsoByHand ? <ToTheSheet jobId={screen.job.jobId} tool={tool} moveId={move.id} /> : null}
      </MakeReady>
    </section>
  );
}
