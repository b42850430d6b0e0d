import type { SignedOff } from "../log/entry";
import type { Standing } from "../standing";
import { type SignOffContext, type SignOffWord, signOffWord } from "./sign-off";

/** From the least that may be said to the most. */
const ORDER: readonly SignOffWord["word"][] = ["do-not-use", "not-repaired", "not-yet-proven", "repaired"];

/**
 * What may be said of a machine that was signed off: the word that was signed, unless the log has come to allow less since.
 * Whatever is made from now on (letter, tag, card, message, heading) says this one; what was printed before stays as record.
 */
export function wordNow(
  view: Standing,
  signed: Pick<SignedOff, "word">,
  context: SignOffContext,
): SignOffWord {
  const now = signOffWord(view, context);
  return ORDER.indexOf(now.word) < ORDER.indexOf(signed.word) ? now : { ...now, word: signed.word };
}

/** Whether nobody may use the machine as it stands: it left so, or what was found since says so. */
export function isNotToBeUsed(view: Standing, context: SignOffContext): boolean {
  return view.signedOff !== null && wordNow(view, view.signedOff, context).word === "do-not-use";
}
