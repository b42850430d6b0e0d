import type { SignedOff } from "../log/entry";
import type { Placed } from "../log/lines";
import type { Standing } from "../standing";
import { type SignOffContext, type SignOffWord, signOffWord } from "./sign-off";

/** From the least that may be said to the most. */
const ORDER: readonly SignOffWord["word"][] = ["do-not-use", "not-repaired", "not-yet-proven", "repaired"];

/** A machine that left before there was a list of dangers is held to what was opened since: it had its word by the rules of then. */
function sinceSigned(view: Standing, seq: number): Standing {
  const dangers = view.live.dangers.filter(({ openedBy }) => openedBy > seq);
  return { ...view, live: { ...view.live, dangers } };
}

/**
 * What may be said of a machine that was signed off: the word that was signed, unless the log has come to allow less since.
 * Whatever is made from now on (letter, tag, card, message, heading) says this one; what was printed before stays as record.
 */
export function wordNow(
  view: Standing,
  signed: Pick<SignedOff, "word" | "byDangers"> & Pick<Placed, "seq">,
  context: SignOffContext,
): SignOffWord {
  const now = signOffWord(signed.byDangers ? view : sinceSigned(view, signed.seq), context);
  return ORDER.indexOf(now.word) < ORDER.indexOf(signed.word) ? now : { ...now, word: signed.word };
}

/** Whether nobody may use the machine as it stands: it left so, or what was found since says so. */
export function isNotToBeUsed(view: Standing, context: SignOffContext): boolean {
  return view.signedOff !== null && wordNow(view, view.signedOff, context).word === "do-not-use";
}
