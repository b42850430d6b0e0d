import { isEnd } from "@/core/decision/schools";
import { latestBy } from "@/core/job/log/lines";
import type { JobView } from "@/core/job/log/view";
import type { Bill } from "@/core/job/sign-off/bill";
import { signedBill } from "@/core/job/sign-off/bill";
import type { SignOffWord } from "@/core/job/sign-off/sign-off";
import { wordNow } from "@/core/job/sign-off/word-now";
import { dayIn, formatDay, formatMoney } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import { promiseWords, whenWords } from "@/words/put-back";
import { RUN_RESULT, RUN_WORDS, SIGN_OFF_WORDS, UNPROVEN_WORDS } from "@/words/runs";
import type { LetterContext } from "./context";
import { foundSentences } from "./found";
import { testSentences } from "./tests";

/** A part of the letter: a heading and what is said under it. */
export interface LetterPart {
  readonly title: string;
  readonly sentences: readonly string[];
}

/** What the owner gets: a letter from a careful person, as plain text by parts, with its bill and the card for the machine. */
export interface Letter {
  readonly jobId: number;
  readonly shopName: string;
  readonly address: string;
  readonly telephone: string;
  readonly day: string;
  readonly to: string;
  readonly machine: string;
  readonly word: SignOffWord["word"];
  /** The word as a sentence of its own. */
  readonly headline: string;
  readonly parts: readonly LetterPart[];
  /** Lines of the bill; the last one is what is to pay. */
  readonly bill: readonly { readonly label: string; readonly amount: string }[];
  readonly signature: string;
  /** Short lines that stay with the machine. */
  readonly card: readonly string[];
}

const HEADLINES: Readonly<Record<SignOffWord["word"], (machine: string) => string>> = {
  repaired: (machine) => `Your ${machine} is repaired.`,
  "not-yet-proven": (machine) => `Your ${machine} runs. Whether the repair holds is not proven yet.`,
  "not-repaired": (machine) => `Your ${machine} is not repaired.`,
  "do-not-use": (machine) => `Do not use your ${machine}: it is not safe.`,
};

const sentence = (text: string): string => {
  const trimmed = text.trim();
  if (trimmed === "") return "";
  const whole = `${trimmed.charAt(0).toUpperCase()}${trimmed.slice(1)}`;
  return /[.!?”]$/.test(whole) ? whole : `${whole}.`;
};

function list(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

const WHEN: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    cold: "when it is cold",
    hot: "when it is hot",
    loaded: "under load",
    wet: "when it is wet or after rain",
    sometimes: "from time to time",
  }),
);

function told({ complaint }: JobView, { shop }: LetterContext): string[] {
  if (!complaint) return [];
  const signs = complaint.signs.map((id) =>
    inSentence(shop.signs.find((sign) => sign.id === id)?.label ?? id),
  );
  const when =
    complaint.circumstance === "after-minutes" && complaint.afterMinutes !== null
      ? `after ${complaint.afterMinutes} minutes`
      : (WHEN.get(complaint.circumstance) ?? "");
  return [
    sentence([list(signs), when].filter((one) => one !== "").join(", ")),
    complaint.words === "" ? "" : `In your words: “${complaint.words}”`,
  ];
}

function done(view: JobView): string[] {
  const end = view.followUps.find(({ about, onDay }) => about === "temporary-part" && onDay !== null)?.onDay;
  return [
    sentence(list(view.interventions.map(({ label }) => inSentence(label)))),
    ...view.parts.flatMap(({ label, fit, ownerNotes }) => [
      fit === "temporary"
        ? sentence(`${label}, for a while only${end ? `, until ${formatDay(end)}` : ""}`)
        : sentence(label),
      ...ownerNotes,
    ]),
    view.signedOff?.leftOut ? sentence(`Left out: ${inSentence(view.signedOff.leftOut)}`) : "",
  ];
}

/** The other way by its price, where an end was chosen and held against a repair. */
function notWorthIt(
  { route, mean, against }: NonNullable<JobView["decision"]>,
  money: (minor: number) => string,
): string {
  if (!isEnd({ id: route }) || isEnd({ id: against.route })) return "";
  const other = {
    replace: `, another machine about ${money(mean)}`,
    "second-hand": `, a second-hand machine about ${money(mean)}`,
    trade: `, another shop about ${money(mean)}`,
  }[route as string];
  return `A repair would have cost about ${money(against.mean)} with what it may still lead to${other ?? ""}: the repair is not worth it.`;
}

/** Why nothing was repaired, with the two prices where they were worked out. */
function notRepaired(view: JobView, { shop }: LetterContext): string[] {
  const money = (minor: number): string => formatMoney(Math.round(minor), shop.settings.currency);
  const { ownerSaid, decision } = view;
  if (view.interventions.length > 0) return [];
  const ceiling = view.takenIn?.ceilingMinor ?? null;
  const against = [
    ownerSaid?.priceMinor == null ? "" : `it would have come to ${money(ownerSaid.priceMinor)}`,
    ceiling === null ? "" : `you wanted to be asked above ${money(ceiling)}`,
  ].filter((one) => one !== "");
  const said =
    ownerSaid?.answer === "no"
      ? `You decided against the repair${against.length > 0 ? `: ${against.join(", and ")}` : ""}.`
      : "";
  return [said, decision ? notWorthIt(decision, money) : ""];
}

function asked({ ledger }: JobView, { shop }: LetterContext): string[] {
  const answers = ledger.flatMap((line) =>
    line.kind === "owner-answer" && !line.isStruck && line.payload.answer !== "asked" ? [line] : [],
  );
  // Of each question the last word: what a no led to is written down as the same question once more.
  return latestBy(answers, ({ payload }) => payload.question).flatMap((line) => {
    const { question, answer, means, priceMinor } = line.payload;
    const price = priceMinor === null ? "" : ` (${formatMoney(priceMinor, shop.settings.currency)})`;
    const day = formatDay(dayIn(line.at, shop.settings.zone));
    return [`We asked you by ${means}: “${question}”${price}. On ${day} you said ${answer}.`];
  });
}

function ran(view: JobView): string[] {
  const run = view.runs.at(-1);
  if (!run) return [];
  return [
    sentence(`It ran ${run.minutes} minutes ${RUN_WORDS[run.circumstance]}: ${RUN_RESULT[run.result]}`),
    sentence(run.words),
  ];
}

function watch(view: JobView, word: SignOffWord["word"]): string[] {
  const open = view.followUps.filter((one) => one.done === null);
  return [
    sentence(view.signedOff?.watch ?? ""),
    ...open.map((one) => sentence(promiseWords(one))),
    word === "not-repaired"
      ? "It still does what you told us. If you change your mind, bring it back with this letter."
      : "If it does the same again, bring it back and say what it did and when.",
  ];
}

/** What follows by itself where nothing was repaired: it is said once, at the top. */
const PLAIN_WITHOUT_REPAIR: ReadonlySet<string> = new Set(["nothing-done", "no-run"]);

function billLines(bill: Bill, minutes: number, money: (minor: number) => string): Letter["bill"] {
  const work = bill.labour + bill.parts;
  const when = (stands: boolean, label: string, amount: number) =>
    stands ? [{ label, amount: money(amount) }] : [];
  return [
    ...when(
      bill.labour > 0 || minutes > 0,
      `Work, ${minutes} ${minutes === 1 ? "minute" : "minutes"}`,
      bill.labour,
    ),
    ...when(bill.parts > 0, "Parts", bill.parts),
    ...when(bill.fee > 0 && !bill.feeCounts, "Fee for finding the fault", bill.fee),
    ...when(bill.fee > work && bill.feeCounts, "Up to the fee for finding the fault", bill.fee - work),
    ...when(bill.discount > 0, "Less", -bill.discount),
    ...when(bill.tax > 0, "Tax", bill.tax),
    ...(bill.isFree ? [{ label: "No charge", amount: money(0) }] : []),
    ...when(bill.deposit > 0, "Paid ahead", -bill.deposit),
    { label: bill.due < 0 ? "To give back to you" : "To pay", amount: money(Math.abs(bill.due)) },
  ];
}

function cardLines(view: JobView, word: SignOffWord["word"], day: string, { shop }: LetterContext): string[] {
  const next = view.followUps.find((one) => one.done === null);
  const when = next ? whenWords(next) : "";
  return [
    `${shop.settings.shopName}, job ${view.jobId}, ${formatDay(day)}`,
    // What was repaired on it never hides that nobody may use it.
    word === "do-not-use" ? SIGN_OFF_WORDS[word] : "",
    view.interventions.map(({ label }) => label).join(", ") ||
      (word === "do-not-use" ? "" : SIGN_OFF_WORDS[word]),
    view.parts.map(({ label }) => label).join(", "),
    next ? `Next look${when ? ` (${when})` : ""}: ${inSentence(next.what)}` : "",
    shop.settings.telephone,
  ].filter((line) => line !== "");
}

/** The letter to the owner of a machine that was signed off; undefined before that. */
export function letterOf(view: JobView, context: LetterContext): Letter | undefined {
  const { shop, ownerName } = context;
  const signed = view.signedOff;
  if (!signed) return undefined;
  const word = wordNow(view, signed, shop);
  const machine = inSentence(view.takenIn?.machine ?? "machine");
  const day = dayIn(signed.at, shop.settings.zone);
  const part = (title: string, sentences: readonly string[]): LetterPart[] => {
    const said = sentences.filter((one) => one !== "");
    return said.length === 0 ? [] : [{ title, sentences: said }];
  };
  const isUntouched = view.interventions.length === 0;
  const unproven = word.unproven
    .filter((code) => !(isUntouched && PLAIN_WITHOUT_REPAIR.has(code)))
    .map((code) => sentence(UNPROVEN_WORDS.get(code) ?? ""));
  return {
    jobId: view.jobId,
    shopName: shop.settings.shopName,
    address: shop.settings.address,
    telephone: shop.settings.telephone,
    day: formatDay(day),
    to: ownerName,
    machine: [view.takenIn?.machine ?? "", view.takenIn?.tag ? `tag ${view.takenIn.tag}` : ""]
      .filter((one) => one !== "")
      .join(", "),
    word: word.word,
    headline: HEADLINES[word.word](machine),
    parts: [
      ...part("What you told us", told(view, context)),
      ...part("What we found, and how we know", foundSentences(view, context)),
      ...part("What we did", done(view)),
      ...part("Why it is not repaired", notRepaired(view, context)),
      ...part("How we tested it", [...testSentences(view, shop), ...ran(view)]),
      ...part(word.word === "do-not-use" ? "Why it must not be used" : "What we did not prove", unproven),
      ...part("What we agreed", asked(view, context)),
      ...part("What to watch", word.word === "do-not-use" ? [] : watch(view, word.word)),
    ],
    bill: billLines(signedBill(view, signed), signed.minutes, (minor) =>
      formatMoney(minor, shop.settings.currency),
    ),
    signature: `Tested with the instruments of this shop; this is no inspection certificate, and local codes and licensed practice come first. ${signed.by}, ${formatDay(day)}`,
    card: cardLines(view, word.word, day, context),
  };
}
