import type { FollowedUp, Refitted } from "@/core/job/entry";
import type { LedgerLine } from "@/core/job/reduce";
import { formatDuration, formatMoney, formatReading, formatText } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "./in-sentence";
import { offWords, PICTURE_OF, promiseWords } from "./put-back";
import { RUN_RESULT, RUN_WORDS, SIGN_OFF_WORDS } from "./runs";
import { saidWords, type ToolSentences, VERDICT_WORDS } from "./said";

const EVIDENCE: Readonly<Record<string, string>> = {
  "plug-in-sight": "plug in sight",
  "plug-in-pocket": "plug in the pocket",
  "plug-tagged": "plug tagged",
  "cord-off-machine": "cord off the machine",
};

const HELD: Readonly<Record<string, string>> = {
  springs: "Springs",
  "lifted-load": "Lifted load",
  belt: "Belt",
};

const STORE: Readonly<Record<string, string>> = {
  start: "start capacitor",
  run: "run capacitor",
  bus: "board",
  any: "whatever stores charge",
};

export function storeWords(id: string): string {
  return STORE[id] ?? id;
}

function benchWords(payload: Extract<LedgerLine, { kind: "bench-state" }>["payload"]): string {
  switch (payload.event) {
    case "plugged-in":
      return "Plugged in";
    case "unplugged":
      return `Unplugged, ${EVIDENCE[payload.evidence]}`;
    case "isolated":
      return `Isolated and proven dead: ${formatText(payload.volts, "V")}, ${payload.means}`;
    case "not-known":
      return "Plug not known";
    case "battery":
      return payload.is === "out" ? "Battery out" : "Battery in";
    case "stored-volts":
      return `${formatText(payload.volts, "V")} read on the ${storeWords(payload.id)}`;
    case "stored-clip":
      return `Clip left on the ${storeWords(payload.id)}`;
    case "stored-cannot":
      return `Charge of the ${storeWords(payload.id)} not read: ${payload.why}`;
    case "nothing-stores":
      return "Nothing in it stores charge";
    case "held":
      return `${HELD[payload.id]} ${payload.is === "none" ? "not in this machine" : payload.is}`;
    case "minded":
      return `Seen to: ${payload.id.replaceAll("-", " ")}`;
    case "load":
      return payload.is === "separated" ? "Motor parted from its load" : "Motor joined to its load";
    case "temperature":
      return `Machine is ${payload.is}`;
  }
}

function readingWords(
  payload: Extract<LedgerLine, { kind: "reading" }>["payload"],
  shop: Shop,
  words: ToolSentences,
): string {
  if (payload.of === "dead-check") {
    const label = shop.deadChecks.find(({ id }) => id === payload.checkId)?.label ?? payload.checkId;
    const shown = payload.reading ? formatReading(payload.reading) : undefined;
    const value = shown ? `${shown.number} ${shown.unit}` : payload.entered;
    return `${label}: ${value}${payload.taken === "afterwards" ? ", entered afterwards" : ""}`;
  }
  const move = shop.moves.find(({ id }) => id === payload.moveId);
  const tool = shop.tools.find(({ id }) => id === payload.toolId);
  const about = move?.part?.name ?? move?.title ?? tool?.title ?? payload.toolId;
  const { reasons, figures, verdict, basis } = payload.finding;
  const [reason] = reasons;
  const [figure] = figures;
  const why = (reason && saidWords(words, basis.toolId, reason)) || VERDICT_WORDS[verdict];
  const late = payload.taken === "afterwards" ? ", entered afterwards" : "";
  const value = figure ? ` ${formatText(figure.value, figure.unit)}` : "";
  return `${about.charAt(0).toUpperCase()}${about.slice(1)}${value}: ${why}${late}`;
}

function complaintWords(payload: Extract<LedgerLine, { kind: "complaint" }>["payload"], shop: Shop): string {
  const signs = payload.signs
    .map((sign) => shop.signs.find(({ id }) => id === sign)?.label ?? sign)
    .join(" · ");
  return `Complaint: ${[signs, payload.words].filter((part) => part !== "").join("; ")}`;
}

const NO_ANSWER: Readonly<Record<string, string>> = {
  "not-sure": "not sure",
  "could-not": "could not be done",
};

function answerWords(payload: Extract<LedgerLine, { kind: "answer" }>["payload"], shop: Shop): string {
  const move = shop.moves.find(({ id }) => id === payload.moveId);
  const answer = move?.answers[payload.outcomeId] ?? NO_ANSWER[payload.outcomeId] ?? payload.outcomeId;
  return `${move?.title ?? payload.moveId}: ${answer}${payload.taken === "afterwards" ? ", entered afterwards" : ""}`;
}

const REFIT: Readonly<Record<Refitted["how"], string>> = {
  back: "Back on",
  replaced: "New one fitted",
  "left-out": "Left out",
};

function refitWords({ how, line, count, why, carried }: Refitted): string {
  const moved = carried.length > 0 ? `, moved over: ${carried.join(", ")}` : "";
  return `${REFIT[how]}${count === null ? "" : `, ${count} of them`} (line ${line})${why ? `: ${why}` : ""}${moved}`;
}

const FOLLOWED: Readonly<Record<FollowedUp["result"], string>> = {
  good: "Looked again, still good",
  "came-back": "Looked again, it came back",
  "let-go": "Not looked at again",
};

/** One line of the ledger in words. */
export function lineWords(line: LedgerLine, shop: Shop, words: ToolSentences): string {
  switch (line.kind) {
    case "taken-in":
      return `Taken in: ${line.payload.machine}`;
    case "nameplate":
      return line.payload.plate === "motor"
        ? "Plate of the motor read"
        : `Marking of the ${line.payload.id} capacitor: ${line.payload.mark}`;
    case "complaint":
      return complaintWords(line.payload, shop);
    case "bench-state":
      return benchWords(line.payload);
    case "opened":
      return `Opened: ${line.payload.access}`;
    case "closed":
      return `Closed: ${line.payload.access}`;
    case "reading":
      return readingWords(line.payload, shop, words);
    case "answer":
      return answerWords(line.payload, shop);
    case "intervention":
      return line.payload.seen ? `Seen and mended: ${inSentence(line.payload.label)}` : line.payload.label;
    case "part-chosen":
      return `Part chosen: ${line.payload.label}${line.payload.fit === "fit" ? "" : `, ${line.payload.fit === "note" ? "with a note" : "for a while only"}`}`;
    case "built":
      return `Its path: ${line.payload.stations.join(", ").replaceAll("-", " ")}`;
    case "priced":
      return `Price, ${line.payload.of === "machine" ? "another machine" : line.payload.of.replaceAll("-", " ")}: ${formatMoney(line.payload.minor, shop.settings.currency)}`;
    case "decision":
      return `Decided: ${line.payload.label}${line.payload.overrideWhy ? `, without proof: ${line.payload.overrideWhy}` : ""}`;
    case "picture":
      return `Picture, ${PICTURE_OF[line.payload.of]}${line.payload.words ? `: ${line.payload.words}` : ""}`;
    case "removed":
      return `Off: ${offWords(line.payload)}${line.payload.where ? `, ${line.payload.where}` : ""}`;
    case "pinned":
      return `Line ${line.payload.line} shown on the picture of line ${line.payload.picture}`;
    case "reordered":
      return `Order of putting back: ${line.payload.lines.join(", ")}`;
    case "refitted":
      return refitWords(line.payload);
    case "acceptance-run":
      return `Run, ${RUN_WORDS[line.payload.circumstance]}, ${line.payload.minutes} min: ${RUN_RESULT[line.payload.result]}`;
    case "signed-off":
      return `Signed off: ${SIGN_OFF_WORDS[line.payload.word].toLowerCase()}`;
    case "not-done":
      return `Not done: ${line.payload.what}, ${line.payload.why}`;
    case "owner-answer":
      return line.payload.answer === "asked"
        ? `Owner asked: ${line.payload.question}`
        : `Owner said ${line.payload.answer}: ${line.payload.question}`;
    case "timer-started":
      return `Timer, ${line.payload.what.replace("-", " ")}: ${formatDuration(line.payload.seconds)}`;
    case "follow-up":
      return promiseWords(line.payload);
    case "followed-up":
      return `${FOLLOWED[line.payload.result]} (line ${line.payload.line})${line.payload.words ? `: ${line.payload.words}` : ""}`;
    case "reopened":
      return `Opened again: ${line.payload.why}`;
    case "note":
      return line.payload.text;
    case "struck":
      return `Struck out line ${line.payload.seq}${line.payload.why ? `: ${line.payload.why}` : ""}`;
    case "restored":
      return `Restored line ${line.payload.seq}`;
  }
}
