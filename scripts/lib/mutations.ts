import { type Mutation, m } from "./mutation";
import { CLOSERS } from "./mutations-of-closers";
import { WORDS } from "./mutations-of-words";

const BENCH = "src/core/safety/bench-state.ts";
const CHARGE = "src/core/safety/charge-state.ts";
const LIVE = "src/core/safety/live-work.ts";
const STATE = "src/core/safety/live-state.ts";
const WORD = "src/core/job/sign-off/sign-off.ts";
const ENERGY_DANGERS = "src/core/safety/dangers/energy-dangers.ts";
const DANGER_EVENTS = "src/log/danger-events.ts";
const STRIKES = "src/log/energies.ts";

const ENERGY: readonly Mutation[] = [
  m(
    "a live answer or run made now is itself a statement about power",
    "src/log/live-events.ts",
    '? [{ event: "powered" }]',
    "? []",
  ),
  m(
    "power clears what was read on what stores charge",
    BENCH,
    "return item.none === undefined ? [] : [item];",
    "return [item];",
  ),
  m(
    "a clip stays on record whatever is said of the plug",
    BENCH,
    "if (clip === true) return [{ id, clip, clipStruck, at }];",
    "",
  ),
  m(
    "a clip counts only once volts were read under it",
    CHARGE,
    'if (isClipped) return "clip-unread";',
    'if (isClipped) return "clip";',
  ),
  m("volts read under power say nothing after", CHARGE, 'if (item.whileOn) return "not-read";', ""),
  m(
    "volts come before claims",
    BENCH,
    "nothingStores: state.nothingStores && isDead,",
    "nothingStores: state.nothingStores,",
  ),
  m(
    "an electrolytic is read twice, a minute apart",
    CHARGE,
    'return isOnce ? "once" : "drained";',
    'return isOnce ? "drained" : "drained";',
  ),
  m(
    "what heats cools for a while after power",
    BENCH,
    "if (at >= coolAt) return",
    "if (at >= coolAt || at < coolAt) return",
  ),
  m(
    "what is said to be hot is not cold",
    BENCH,
    '!isHot || id !== "heat" || is !== "held"',
    '!isHot || is !== "held" || true',
  ),
  m(
    "what may have been under power is as hot as what was",
    "src/core/safety/power-clock.ts",
    '      event.event === "may-have-had-power" ||\n',
    "",
  ),
  m(
    "OL on volts is a charge",
    "src/log/kinds/bench-state/complete.ts",
    "volts: OVER_RANGE_VOLTS, over",
    "volts: 0, over",
  ),
  m(
    "a complaint told after a run takes it back",
    "src/log/kinds/complaint/energy.ts",
    '    { event: "stalled" },\n',
    "",
  ),
  m(
    "a clip that is struck out is on all the same",
    STRIKES,
    'return [{ event: "clip-struck", id: event.id }];',
    "return [];",
  ),
  m(
    "struck volts take no plug out",
    "src/core/safety/energy.ts",
    'const isStillIn = isStruck && event.event === "isolated" && bench.plug === "plugged-in";',
    "const isStillIn = false;",
  ),
  m(
    "a heater is taken back with a reason only",
    "src/core/job/door/hazards-lost.ts",
    '...(heater === "yes" ? ["heat"] : []),',
    "",
  ),
  m(
    "a clip that is struck out holds no charge down",
    CHARGE,
    "const isClipped = item.clip === true && item.clipStruck !== true;",
    "const isClipped = item.clip === true;",
  ),
  m(
    "what runs on stands still before hands go in",
    BENCH,
    'runsOn && !held.some(({ id }) => id === "coasting")',
    "runsOn && held.length < 0",
  ),
  m(
    "power clears what was held",
    BENCH,
    'const held = state.held.filter(({ is }) => is !== "held");',
    "const { held } = state;",
  ),
  m(
    "wired in: proven dead before hands go in",
    BENCH,
    "if (Math.abs(event.volts) > safe)",
    "if (Math.abs(event.volts) > safe + 1000)",
  ),
  m(
    "blades are blocked before the shaft is turned",
    "src/core/safety/bench-gaps.ts",
    "return parts.isBlocked;",
    "return parts.isBlocked && false;",
  ),
  m(
    "hands stay out of what was read live",
    "src/core/safety/bench-gaps.ts",
    '|| keepsOut("live", "left-plugged-in")',
    "",
  ),
  m("hands stay out of what was read charged", "src/core/safety/bench-gaps.ts", '|| keepsOut("charged")', ""),
  m(
    "a board stores charge in every family",
    "src/core/job/log/bench-machine.ts",
    'stations.includes("board") && !stores.includes("bus") ? ["bus"] : []',
    'stations.includes("board") && !stores.includes("bus") ? [] : []',
  ),
  m(
    "a told smell or smoke asks for a look inside",
    STATE,
    'const owesLookInside = state.owesLookInside || event.before.includes("look-inside");',
    "const owesLookInside = state.owesLookInside && false;",
  ),
  m(
    "a line of power that is struck out leaves a doubt",
    STRIKES,
    "tellsOfPower(undone) ? DOUBT : []",
    "tellsOfPower(undone) ? [] : []",
  ),
  m(
    "class, connection or heater said anew asks the tests again",
    "src/log/kinds/taken-in/energy.ts",
    "...(isOther",
    "...(isOther && false",
  ),
];

const GRANT: readonly Mutation[] = [
  m("power only behind the shop's residual-current outlet", LIVE, "...(outlet ? [outlet] : []),", ""),
  m(
    "no power while a danger withholds it",
    LIVE,
    '...gap(dangersAgainst(live.dangers, power).length > 0, "danger"),',
    "",
  ),
  m(
    "a mended danger gives way to the one test that closes it, and to nothing else",
    LIVE,
    "TEST_UNDER.get(test)?.includes(power) !== true",
    "false",
  ),
  m("no power with a cover open", LIVE, '...gap(bench.opened.length > 0, "cover-open"),', ""),
  m(
    "power with a cover off is a note for a licensed person",
    LIVE,
    '...gap(power === "licensed", "licensed"),',
    "",
  ),
  m(
    "what was worked on is checked again before power",
    LIVE,
    "const spoilt = spoiltAt(live, check.proves);",
    "const spoilt = 0;",
  ),
  m(
    "after two trips no power until their reason is mended",
    "src/core/safety/dangers/danger.ts",
    "const TRIPS_TOO_MANY = 2;",
    "const TRIPS_TOO_MANY = 99;",
  ),
];

const OPENERS: readonly Mutation[] = [
  m(
    "opened: what is told at the door",
    "src/log/kinds/complaint/energy.ts",
    "opens === undefined",
    "opens !== undefined",
  ),
  m(
    "opened: a test or a look that fails",
    DANGER_EVENTS,
    '{ event: "danger", kind, place, remedies, test },',
    "",
  ),
  m(
    "opened: what power did",
    "src/log/happened.ts",
    '{ event: "danger", kind: what, place: HERE, remedies: [], test: RUN },',
    "",
  ),
  m(
    "opened: a guard that was left out",
    "src/log/kinds/refitted/energy.ts",
    "...(isProtective(protects, payload)",
    "...(payload.count < 0",
  ),
  m(
    "what nobody named protects until it is said",
    "src/core/job/reassembly/protective.ts",
    "return protects !== HARMLESS;",
    "return protects !== HARMLESS && protects !== NOT_SAID;",
  ),
  m(
    "an earth is known by its colour, whatever is posted",
    "src/core/job/reassembly/protective.ts",
    "colours.includes(colourOf(colour)) ||",
    "",
  ),
  m(
    "a protection that was off owes its own test",
    "src/log/kinds/refitted/energy.ts",
    "    ...protectionTests(row),",
    "",
  ),
  m(
    "hands that do it now need the gate of what they touch",
    "src/log/guard-bench.ts",
    "if (gaps.length === 0) return [];\n  const toDo = gaps.map((gap) => BENCH_GAP_WORDS[gap])",
    "if (gaps.length >= 0) return [];\n  const toDo = gaps.map((gap) => BENCH_GAP_WORDS[gap])",
  ),
  m(
    "what its kind has is not said away without a reason",
    "src/log/kinds/bench-state/guard.ts",
    "why.trim().length >= SHORTEST",
    "why.trim().length >= 0",
  ),
  m(
    "vapour and dust that explodes are aired before power",
    LIVE,
    "machine.airs.some((id) => !bench.hazardsSeenTo.includes(id)),",
    "false,",
  ),
  m(
    "what was aired on another visit is aired again",
    "src/log/kinds/reopened/energy.ts",
    '  { event: "seen-to-anew" },',
    "",
  ),
  m(
    "what was aired before it was told is aired again",
    "src/log/kinds/taken-in/energy.ts",
    "...(hasOtherHazards ?",
    "...(hasOtherHazards && before === undefined ?",
  ),
  m(
    "a doubtful test that was struck out still doubts the one before it",
    WORD,
    "seq >= doubtedSeq(check.id),",
    "true,",
  ),
  m(
    "opened: a part that protects was worked on",
    "src/log/kinds/intervention/energy.ts",
    "...renewed(faultIds, context),",
    "",
  ),
  m(
    "opened: only what blew was mended",
    "src/log/kinds/intervention/energy.ts",
    "...rootOpen(faultIds, faults, earlier),",
    "",
  ),
  m("opened: work on a brake", "src/log/kinds/intervention/energy.ts", "? [BRAKE] : []", "? [] : []"),
  m(
    "opened: a part in for a while",
    "src/log/kinds/part-chosen/energy.ts",
    '[{ event: "danger", kind: "temporary", place: forPart, remedies: [], test: next }]',
    "[]",
  ),
  m(
    "opened: a plate that is read after the part was chosen",
    "src/log/kinds/nameplate/energy.ts",
    'payload.plate === "motor" || forPart === payload.id',
    "false",
  ),
  m(
    "opened: volts read where none should be",
    ENERGY_DANGERS,
    "if (!isDead) return [opens(kind, place)];",
    "",
  ),
  m("opened: power with a clip on", ENERGY_DANGERS, "return underClip(bench);", "return [];"),
  m(
    "opened: signed off while plugged in",
    ENERGY_DANGERS,
    'bench.plug === "plugged-in" ? [opens("left-plugged-in", PLUG)] : []',
    'bench.plug === "plugged-in" ? [] : []',
  ),
  m(
    "opened: class or connection against the plate",
    "src/log/contradiction.ts",
    "isExtraLow && volts > EXTRA_LOW_VOLTS",
    "isExtraLow && volts > EXTRA_LOW_VOLTS * 1e9",
  ),
  m(
    "opened: another motor, whose direction nobody saw",
    "src/log/kinds/intervention/energy.ts",
    "...(mayTurnWrong ? [DIRECTION] : []),",
    "",
  ),
  m(
    "opened: it ran on longer than its kind may",
    "src/core/safety/stop-time.ts",
    "if (stop === ANY_STOP) return [];",
    "return [];",
  ),
  m(
    "an unknown name is asked before hands go in",
    "src/core/safety/bench-gaps.ts",
    '...when(machine.asks.length > 0, "kind"),',
    "",
  ),
  m("opened: what came in with the machine", "src/log/kinds/taken-in/energy.ts", "...carried,", ""),
];

/** Each rule, opener and closer, broken once. */
export const MUTATIONS: readonly Mutation[] = [...ENERGY, ...GRANT, ...OPENERS, ...CLOSERS, ...WORDS];
