import type { SignedOff } from "@/core/job/log/entry";
import { tellsOfFailure } from "@/core/job/log/strike";
import type { JobView } from "@/core/job/log/view";
import { beforeAfter } from "@/core/job/sign-off/before-after";
import { signedBill } from "@/core/job/sign-off/bill";
import { finalTests, signOffWord } from "@/core/job/sign-off/sign-off";
import { wordNow } from "@/core/job/sign-off/word-now";
import { dayIn, formatDay, formatInstant, formatReading, formatText } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { useLineWords } from "@/islands/state/tool-words";
import { billWords } from "@/words/bill";
import { promiseWords } from "@/words/put-back";
import { RUN_RESULT, RUN_WORDS, SIGN_OFF_WORDS, UNPROVEN_WORDS } from "@/words/runs";
import { whyStruck } from "@/words/strikes";
import { Figures } from "./Figures";

export interface SheetProps {
  readonly job: JobView;
  readonly ownerName: string;
  readonly shop: Shop;
}

function Block({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <section className="border-rule border-t py-2.5">
      <h2 className="font-semibold text-soft">{title}</h2>
      {children}
    </section>
  );
}

/** A reading that shows a fault: of a part, or of the machine's protection. */
function isTelling(payload: Extract<JobView["ledger"][number], { kind: "reading" }>["payload"]): boolean {
  return payload.of === "tool" ? payload.finding.verdict === "faulty" : payload.verdict === "failed";
}

/** The readings and answers that speak for what was wrong, in the words of the log. */
function Found({ job, shop }: Pick<SheetProps, "job" | "shop">) {
  const say = useLineWords(job, shop);
  const telling = job.ledger.filter(
    (line) =>
      !line.isStruck && ((line.kind === "reading" && isTelling(line.payload)) || line.kind === "answer"),
  );
  if (telling.length === 0) return <p>Nothing was found that shows a fault.</p>;
  return (
    <ul>
      {telling.slice(-6).map((line) => (
        <li key={line.seq}>
          {say(line)} <span className="text-soft">(line {line.seq})</span>
        </li>
      ))}
    </ul>
  );
}

/** Where a limit is from, and that it is only recalled where nobody has checked it. */
function sourceWords({ limitId, limitSource }: JobView["deadChecks"][number], shop: Shop): string {
  const row = limitId === null ? undefined : shop.limits[limitId];
  return `${limitSource}${row?.reviewed ? "" : ", recalled, not checked"}`;
}

const LOOKED = { passed: "nothing against it", failed: "not fit for use", undecided: "cannot tell" } as const;

function Tests({ job, shop }: Pick<SheetProps, "job" | "shop">) {
  const verdicts = { passed: "within its limit", failed: "outside its limit", undecided: "cannot tell" };
  return (
    <ul>
      {finalTests(job, shop).map(({ checkId, reading }) => {
        const taken = reading?.checkId ?? checkId;
        const label = shop.deadChecks.find(({ id }) => id === taken)?.label ?? taken;
        const shown = reading?.reading ? formatReading(reading.reading) : undefined;
        return (
          <li key={checkId}>
            {label}:{" "}
            {reading ? (
              <>
                <b>{shown ? `${shown.number} ${shown.unit}` : reading.entered}</b>,{" "}
                {reading.limit === null ? LOOKED[reading.verdict] : verdicts[reading.verdict]}
                {reading.taken === "afterwards" ? ", written down afterwards" : ""}
                {reading.limit === null
                  ? ""
                  : ` of ${formatText(reading.limit, reading.reading?.kind === "value" ? reading.reading.unit : "Ω")} (${sourceWords(reading, shop)})`}
              </>
            ) : (
              <b>not taken since the last change</b>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function Said({ job, word, shop }: Pick<SheetProps, "job" | "shop"> & { readonly word: SignedOff["word"] }) {
  const { unproven } = signOffWord(job, shop);
  return (
    <div
      className={
        word === "do-not-use" ? "hatched my-3 border-2 border-ink p-2" : "my-3 border-2 border-ink p-2"
      }
    >
      <div className="bg-paper px-4 py-3">
        <p className="font-bold text-[32px] leading-tight" data-testid="sheet-word">
          {SIGN_OFF_WORDS[word]}
        </p>
        {unproven.length > 0 ? (
          <ul>
            {unproven.map((code) => (
              <li key={code}>{UNPROVEN_WORDS.get(code) ?? code}.</li>
            ))}
          </ul>
        ) : null}
      </div>
    </div>
  );
}

/** Until when a temporary part may stay. */
function endWords({ followUps }: JobView): string {
  const end = followUps.find(({ about, onDay }) => about === "temporary-part" && onDay !== null)?.onDay;
  return end ? `until ${formatDay(end)}` : "with no day set on which it comes out";
}

/** Failures that were struck out, with their reasons: they are not forgotten unless the same test passed since. */
function StruckFailures({ job, shop }: Pick<SheetProps, "job" | "shop">) {
  const say = useLineWords(job, shop);
  const reasons = new Map(
    job.ledger.flatMap((line) =>
      line.kind === "struck" ? [[line.payload.seq, whyStruck(line.payload)]] : [],
    ),
  );
  const isAnswered = (line: JobView["ledger"][number]): boolean => {
    if (line.kind !== "reading" || line.payload.of !== "dead-check") return false;
    const { checkId } = line.payload;
    return job.deadChecks.some(
      (one) => one.checkId === checkId && one.verdict === "passed" && one.seq > line.seq,
    );
  };
  const struck = job.ledger.filter((line) => line.isStruck && tellsOfFailure(line) && !isAnswered(line));
  if (struck.length === 0) return null;
  return (
    <Block title="Struck out">
      <ul>
        {struck.map((line) => (
          <li key={line.seq}>
            <s>{say(line)}</s>{" "}
            <span className="text-soft">
              (line {line.seq}: {reasons.get(line.seq)})
            </span>
          </li>
        ))}
      </ul>
    </Block>
  );
}

function Money({ job, signed, shop }: Pick<SheetProps, "job" | "shop"> & { readonly signed: SignedOff }) {
  const bill = signedBill(job, signed);
  return (
    <p>
      {signed.minutes} min of work. {billWords(bill, shop.settings.currency)}
    </p>
  );
}

/** What the owner was asked and said, when and by which means: a refusal stands on the sheet as well. */
function OwnerSaid({ job, shop }: Pick<SheetProps, "job" | "shop">) {
  const say = useLineWords(job, shop);
  const said = job.ledger.filter((line) => line.kind === "owner-answer" && !line.isStruck);
  if (said.length === 0) return null;
  return (
    <Block title="What the owner was asked and said">
      <ul>
        {said.map((line) => (
          <li key={line.seq}>
            {say(line)}
            <span className="text-soft">
              {line.kind === "owner-answer" ? `, by ${line.payload.means}` : ""},{" "}
              {formatInstant(line.at, shop.settings.zone)}
            </span>
          </li>
        ))}
      </ul>
    </Block>
  );
}

/** The shop's own copy: the same with its lines, its sources and what the log says against it. */
export function ShopCopy({ job, ownerName, shop }: SheetProps) {
  const say = useLineWords(job, shop);
  const { settings } = shop;
  const signed = job.signedOff;
  if (!signed) return null;
  const instruments = [...new Set(settings.instruments.map(({ label }) => label))].join(", ");
  const circumstance = job.runs.at(-1);
  return (
    <article aria-label="The shop's own copy" className="mx-auto max-w-[760px]">
      <header className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="font-bold text-2xl">{settings.shopName}</h1>
        <p>
          Job <b className="num">{job.jobId}</b>, {formatDay(dayIn(signed.at, settings.zone))}
        </p>
      </header>
      <p className="text-lg">
        <b>{job.takenIn?.machine}</b>
        {job.takenIn?.tag ? `, tag ${job.takenIn.tag}` : ""}
        {ownerName ? `, for ${ownerName}` : ""}
      </p>
      <Said job={job} word={wordNow(job, signed, shop).word} shop={shop} />
      <Block title="What it did">
        <p>{job.complaint ? say(ledgerLine(job, job.complaint.seq)).replace(/^Complaint: /, "") : ""}</p>
      </Block>
      <Block title="What was found">
        <Found job={job} shop={shop} />
      </Block>
      <StruckFailures job={job} shop={shop} />
      <Block title="What was done">
        <p>{job.interventions.map(({ label }) => label).join(", ") || "Nothing was repaired."}</p>
        {job.parts.map((part) => (
          <p key={part.forPart}>
            {part.label}
            {part.fit === "temporary" ? `, for a while only, ${endWords(job)}` : ""}
          </p>
        ))}
        {circumstance ? (
          <p>
            Run {RUN_WORDS[circumstance.circumstance]} for {circumstance.minutes} min:{" "}
            {RUN_RESULT[circumstance.result]}. {circumstance.words}
          </p>
        ) : null}
      </Block>
      <Block title="Before and after">
        <Figures rows={beforeAfter(job)} shop={shop} />
      </Block>
      <Block title="Final tests">
        <Tests job={job} shop={shop} />
      </Block>
      <Block title="What it cost">
        <Money job={job} signed={signed} shop={shop} />
      </Block>
      <Block title="What to watch">
        <p>{signed.watch || "Nothing in particular."}</p>
        {job.followUps
          .filter(({ done }) => done === null)
          .map((one) => (
            <p key={one.seq}>{promiseWords(one)}</p>
          ))}
      </Block>
      <OwnerSaid job={job} shop={shop} />
      <p className="border-rule border-t pt-2.5 text-soft">
        Tests done with these instruments: {instruments || "none named"}. This is not an inspection
        certificate; local codes and licensed practice come first. Signed by {signed.by},{" "}
        {formatInstant(signed.at, settings.zone)}.
      </p>
    </article>
  );
}

function ledgerLine(job: JobView, seq: number): JobView["ledger"][number] {
  const line = job.ledger.find((one) => one.seq === seq);
  if (!line) throw new Error(`job ${job.jobId} has no line ${seq}`);
  return line;
}
