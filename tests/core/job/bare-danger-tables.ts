/**
 * The table of dangers in docs/methods/safety.md read a second time, from the bare log: nothing here is taken from the
 * program or its knowledge. What the walk's actions can say is all that it has to understand.
 */
export type Keeps = "hands" | "power" | "use" | "repaired";

export interface Bare {
  readonly kind: string;
  readonly place: string;
  readonly line: number;
  /** What would mend it: faults, or `station:…`, `spoils:…`, `any`. */
  readonly mendedBy: Set<string>;
  /** How it is closed: the names of its test, or the run. */
  readonly test: string;
  mended: boolean;
  /** A strike that gave the remedy back: runs count from there. */
  mendedFrom: number;
  passes: number;
  /** Minutes that the run which closes it has to last. */
  lasts: number;
  /** Line of its strike: only what is read after it answers it. */
  struck: number;
  open: boolean;
}

export const ALL_AGAINST: readonly Keeps[] = ["power", "use", "repaired"];
export const KEEPS: ReadonlyMap<string, readonly Keeps[]> = new Map<string, readonly Keeps[]>([
  ...["earth", "insulation", "cord", "damp", "burnt", "domed", "runs-on"].map(
    (kind) => [kind, ALL_AGAINST] as const,
  ),
  ...["smoke", "smell", "tingle", "told-smoke", "told-tingle", "told-water", "told-runs-on", "left-out"].map(
    (kind) => [kind, ALL_AGAINST] as const,
  ),
  ["trip", ["repaired"]],
  ["residual-trip", ["use", "repaired"]],
  ["told-trip", ["repaired"]],
  ["told-residual-trip", ["use", "repaired"]],
  ["renewed", ["repaired"]],
  ["brake", ["repaired"]],
  ["root", ["repaired"]],
  ["temporary", ["repaired"]],
  ["asked-anew", ["repaired"]],
  ["live", ["hands"]],
  ["charged", ["hands"]],
  ["left-plugged-in", ["hands"]],
  ["clip-under-power", ["power"]],
  ["contradiction", ["power"]],
]);

/** The work was its own remedy: only the test is owed. */
export const OWN_REMEDY: readonly string[] = [
  "left-out",
  "renewed",
  "brake",
  "temporary",
  "asked-anew",
  "live",
  "charged",
  "clip-under-power",
  "left-plugged-in",
  "contradiction",
];

export const NEVER_MISREAD: readonly string[] = [
  "trip",
  "residual-trip",
  "smoke",
  "tingle",
  "told-trip",
  "told-residual-trip",
  "told-smoke",
  "told-tingle",
  "told-water",
  "told-runs-on",
  "live",
  "charged",
];

export const SIGNS: ReadonlyMap<string, string> = new Map([
  ["trips-breaker", "told-trip"],
  ["trips-residual", "told-residual-trip"],
  ["smoke", "told-smoke"],
  ["tingle", "told-tingle"],
  ["leaks-oil-or-water", "told-water"],
  ["will-not-stop", "told-runs-on"],
]);

/** What each finding of the walk's answers is: a danger there, with what mends it and what it can do. */
export interface Found {
  readonly kind: string;
  readonly test: string;
  readonly mends: readonly string[];
  readonly does: readonly string[];
}
export const LEAK = ["residual-trip", "tingle", "trip"];
/** A leak in a winding or a lead may be a short as well. */
const LEAK_OR_SHORT = [...LEAK, "smoke", "smell"];
export const DRAW = ["trip", "smoke", "smell"];
export const GLOW = ["smoke", "smell"];
export const FOUND: ReadonlyMap<string, Found> = new Map([
  [
    "each-lead-insulation:winding-low",
    { kind: "insulation", test: "leads", mends: ["earth-fault"], does: LEAK_OR_SHORT },
  ],
  [
    "each-lead-insulation:one-low",
    { kind: "insulation", test: "leads", mends: ["lead-chafed"], does: LEAK_OR_SHORT },
  ],
  [
    "look-terminals:brown",
    { kind: "burnt", test: "terminals", mends: ["station:connections", "station:switches"], does: GLOW },
  ],
  [
    "look-damp:damp",
    {
      kind: "damp",
      test: "damp",
      mends: ["damp", "station:windings", "station:seal"],
      does: [...LEAK, "water"],
    },
  ],
  [
    "look-capacitor:bulged",
    { kind: "domed", test: "capacitor", mends: ["station:start-circuit"], does: DRAW },
  ],
  [
    "switch-ohms:always-closed",
    { kind: "runs-on", test: "switch", mends: ["contact-welded"], does: ["runs-on"] },
  ],
]);
export const GOOD: ReadonlyMap<string, string> = new Map([
  ["each-lead-insulation:good", "leads"],
  ["look-terminals:bright", "terminals"],
  ["look-damp:dry", "damp"],
  ["look-capacitor:flat", "capacitor"],
  ["switch-ohms:closed", "switch"],
  ["fuse-ohms:whole", "fuse"],
]);
/** Found, and no danger by itself: what it can do, and whether it lies outside the machine. */
export const REASONS: ReadonlyMap<
  string,
  readonly [fault: string, does: readonly string[], outside: boolean]
> = new Map([
  ["turn-shaft-load-off:locked", ["bearing-seized", DRAW, false]],
  ["other-circuit:holds", ["breaker-weak", ["trip", "residual-trip"], true]],
]);
export const TRIPS: ReadonlyMap<string, string> = new Map([
  ["switch-on:trips-at-once", "trip"],
  ["switch-on:trips-after", "trip"],
  ["switch-on:trips-residual", "residual-trip"],
]);
export const STATION: ReadonlyMap<string, string> = new Map([
  ["start-capacitor-low", "start-circuit"],
  ["belt-slips", "drive"],
  ["fuse-open", "protection"],
  ["earth-fault", "windings"],
  ["lead-chafed", "connections"],
  ["cord-broken", "supply"],
  ["earth-lost", "supply"],
  ["bearing-seized", "bearings"],
  ["damp", "windings"],
  ["contact-welded", "switches"],
  ["brake-drags", "load"],
]);
export const SPOILS_INSULATION_NOT: readonly string[] = ["drive", "load"];
export const BLOWN: readonly string[] = ["fuse-open"];
/** Of the walk's repairs, those that may have blown the fuse. */
export const BLOWS_THE_FUSE: readonly string[] = ["bearing-seized", "start-capacitor-low"];

export const CHECKS: ReadonlyMap<
  string,
  readonly [kind: string, mends: readonly string[], does: readonly string[]]
> = new Map([
  ["look-and-cord", ["cord", ["spoils:insulation"], [...LEAK, ...GLOW]]],
  ["earth-continuity", ["earth", ["earth-lost", "station:supply", "station:connections"], ["tingle"]]],
  ["insulation", ["insulation", ["spoils:insulation"], LEAK]],
  ["ohms-to-metal", ["insulation", ["spoils:insulation"], LEAK]],
  ["leakage", ["insulation", ["spoils:insulation"], LEAK]],
]);

export const SLIP_MS = 8_000;
export const SAFE_VOLTS = 5;
