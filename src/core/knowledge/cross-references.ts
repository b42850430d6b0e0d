import { type Issue, issue } from "../result";
import { valuesOf } from "./conditions";
import { ID_PATTERN } from "./fields.input";
import { kindSign } from "./kind-sign";
import { shareOf } from "./modes";
import type { AnswerRef } from "./move-page.input";
import { withoutHands } from "./no-hands";
import { PARAMETER_IDS } from "./parameters";
import { signMove } from "./sign-move";
import { touchIssues } from "./touch-words";
import type { Knowledge, Move, When } from "./types";
import { whenText } from "./when";

type Tables = Omit<Knowledge, "version">;
type Rows = readonly { readonly id: string; readonly provenance: { readonly source: string } }[];

function wrong(file: string, code: string, what: string, given: unknown): Issue {
  return issue(file, `knowledge/${code}`, `${file}.yaml: ${what}`, given);
}

function dangling(file: string, what: string, id: string): Issue {
  return wrong(file, "dangling", `${what} "${id}" does not exist.`, id);
}

const idsOf = (rows: readonly { readonly id: string }[]): ReadonlySet<string> =>
  new Set(rows.map(({ id }) => id));

function notIn(known: ReadonlySet<string>, file: string, what: string, wanted: readonly string[]): Issue[] {
  return wanted.filter((id) => !known.has(id)).map((id) => dangling(file, what, id));
}

function notAnswers(
  moves: ReadonlyMap<string, Move>,
  file: string,
  what: string,
  refs: readonly AnswerRef[],
): Issue[] {
  return refs
    .filter(({ moveId, outcomeId }) => !moves.get(moveId)?.outcomes.includes(outcomeId))
    .map(({ moveId, outcomeId }) => dangling(file, what, `${moveId}: ${outcomeId}`));
}

const NEAR_ENOUGH = 1e-9;
const MOST_MODES = 3;

/** Chances of each case sum to one and name answers of the move; nothing stands behind `otherwise`. */
function caseIssues({ id, cases, outcomes }: Move): Issue[] {
  const file = `moves/${id}`;
  const otherwise = cases.findIndex(({ when }) => "otherwise" in when);
  const behind = otherwise === -1 ? [] : cases.slice(otherwise + 1);
  return [
    ...behind.map(({ when }) =>
      wrong(
        file,
        "behind-otherwise",
        `case "${whenText(when)}" stands behind "otherwise" and can never hold.`,
        whenText(when),
      ),
    ),
    ...cases.flatMap(({ when, chances, unjudged }) => {
      const sum = Object.values(chances).reduce((acc, { p }) => acc + p, unjudged);
      const strange = Object.keys(chances).filter((answer) => !outcomes.includes(answer));
      const bad = Object.entries(chances).filter(([, { p, low, high }]) => low > p || high < p);
      return [
        ...strange.map((answer) => dangling(file, `answer in case "${whenText(when)}"`, answer)),
        ...bad.map(([answer, one]) =>
          wrong(
            file,
            "range",
            `the chance of "${answer}" in case "${whenText(when)}", ${one.p}, lies outside its range ${one.low} to ${one.high}.`,
            one,
          ),
        ),
        ...(Math.abs(sum - 1) > NEAR_ENOUGH
          ? [
              wrong(
                file,
                "sum",
                `the chances of case "${whenText(when)}" sum to ${Math.round(sum * 1e6) / 1e6}, not to one: settle them, or say what nobody judged as "unjudged".`,
                sum,
              ),
            ]
          : []),
      ];
    }),
  ];
}

function whenIssues(file: string, when: When, signs: ReadonlySet<string>): Issue[] {
  if ("otherwise" in when) return [];
  if ("sign" in when)
    return signs.has(when.sign)
      ? []
      : [
          wrong(
            file,
            "sign",
            `case "${when.sign}" asks for a sign that no fault sets, or for a condition that does not exist.`,
            when.sign,
          ),
        ];
  return valuesOf(when.condition)?.includes(when.is)
    ? []
    : [dangling(file, "condition", `${when.condition}: ${when.is}`)];
}

/** Signs and conditions: what faults set is asked for, what cases ask for is set. */
function machineIssues(tables: Tables): Issue[] {
  const effects = tables.faults.map((fault) => ({
    id: fault.id,
    does: [...fault.does, ...fault.modes.flatMap(({ does }) => does)],
  }));
  const set = new Set(effects.flatMap(({ does }) => does.flatMap(({ signs }) => signs)));
  const signs = new Set([...set, ...tables.families.map(({ id }) => kindSign(id))]);
  const cases = tables.moves.flatMap((move) =>
    [...move.cases, ...(move.number?.cases ?? [])].map(({ when }) => ({ file: `moves/${move.id}`, when })),
  );
  const asked = new Set(cases.flatMap(({ when }) => ("sign" in when ? [when.sign] : [])));
  return [
    ...cases.flatMap(({ file, when }) => whenIssues(file, when, signs)),
    ...effects.flatMap(({ id, does }) =>
      does.flatMap((effect) => [
        ...effect.signs
          .filter((sign) => !asked.has(sign))
          .map((sign) => wrong(`faults/${id}`, "sign", `no move asks for its sign "${sign}".`, sign)),
        ...Object.entries(effect.sets).flatMap(([condition, is]) =>
          valuesOf(condition)?.includes(is)
            ? []
            : [dangling(`faults/${id}`, "condition", `${condition}: ${is}`)],
        ),
      ]),
    ),
  ];
}

function moveIssues(tables: Tables, moves: ReadonlyMap<string, Move>): Issue[] {
  const [families, access, stations, kit] = [
    idsOf(tables.families),
    idsOf(tables.access),
    idsOf(tables.stations),
    idsOf(tables.kit),
  ];
  return tables.moves.flatMap((move) => {
    const file = `moves/${move.id}`;
    return [
      ...(move.outcomes.length < 2
        ? [wrong(file, "answers", "a move has at least two answers.", move.outcomes)]
        : []),
      ...(move.cases.length < 1 ? [wrong(file, "cases", "a move has at least one case.", [])] : []),
      ...caseIssues(move),
      ...meteringIssues(move, file),
      ...notIn(
        families,
        file,
        "family",
        Object.keys(move.expect ?? {}).filter((id) => id !== "all"),
      ),
      ...notIn(families, file, "family", move.families),
      ...notIn(access, file, "access", move.access === undefined ? [] : [move.access]),
      ...notIn(stations, file, "station", move.stations),
      ...notIn(kit, file, "kit", move.kit === undefined ? [] : [move.kit]),
      ...notIn(new Set(moves.keys()), file, "move", move.instead === undefined ? [] : [move.instead]),
      ...notAnswers(moves, file, "answer", move.settledBy),
    ];
  });
}

/** A reading says where its probes go and what a sound machine reads, for every family that is not named. */
function meteringIssues({ id, kind, probes, expect, families }: Move, file: string): Issue[] {
  if (kind !== "reading") return [];
  const isForAll =
    expect?.["all"] !== undefined || families.every((family) => expect?.[family] !== undefined);
  return probes !== undefined && isForAll
    ? []
    : [wrong(file, "probes", "a reading says where its probes go and what to expect of each family.", id)];
}

function faultIssues(tables: Tables, moves: ReadonlyMap<string, Move>): Issue[] {
  const [families, stations, faults, repairs] = [
    idsOf(tables.families),
    idsOf(tables.stations),
    idsOf(tables.faults),
    idsOf(tables.repairs),
  ];
  return tables.faults.flatMap((fault) => {
    const file = `faults/${fault.id}`;
    const inModes = fault.modes.length === 0 ? [] : fault.families;
    const unevenly = inModes.filter(
      (family) =>
        Math.abs(fault.modes.reduce((sum, mode) => sum + shareOf(mode, family), 0) - 1) > NEAR_ENOUGH,
    );
    const isUnproved = fault.provenBy.length === 0 && fault.unproved === undefined;
    return [
      ...unevenly.map((family) =>
        wrong(file, "modes", `the shares of its modes do not sum to one for ${family}.`, family),
      ),
      ...(fault.modes.length > MOST_MODES
        ? [wrong(file, "modes", `a fault shows in at most ${MOST_MODES} ways.`, fault.modes.length)]
        : []),
      ...(isUnproved
        ? [
            wrong(
              file,
              "no-proof",
              `nothing proves it: name a proof, or say why there is none as "unproved".`,
              fault.id,
            ),
          ]
        : []),
      ...(fault.fix.repair === ""
        ? [wrong(file, "no-cure", "nothing cures it: name a repair.", fault.id)]
        : []),
      ...notIn(stations, file, "station", [fault.station]),
      ...notIn(families, file, "family", fault.families),
      ...notIn(
        repairs,
        file,
        "repair",
        [fault.fix, ...fault.ladder].map(({ repair }) => repair).filter((one) => one !== ""),
      ),
      ...notIn(
        faults,
        file,
        "fault",
        fault.leadsTo.map(({ fault: to }) => to),
      ),
      ...notAnswers(moves, file, "proof", fault.provenBy),
      ...notIn(
        new Set(moves.keys()),
        file,
        "move",
        fault.beforeOrder.map(({ moveId }) => moveId),
      ),
    ];
  });
}

/** What every motor of a family has and is. */
function familyIssues({ families, stations }: Tables): Issue[] {
  const known = idsOf(stations);
  return families.flatMap((row) => [
    ...notIn(known, "tables/families", "station", row.stations),
    ...Object.entries(row.sets ?? {}).flatMap(([condition, is]) =>
      valuesOf(condition)?.includes(is)
        ? []
        : [dangling("tables/families", "condition", `${condition}: ${is}`)],
    ),
  ]);
}

/** Kinds of machine that name rows of other tables. */
function kindIssues(tables: Tables): Issue[] {
  const file = "tables/archetypes";
  return tables.archetypes.flatMap(({ family, adds, lacks, assembly, hazards, repairs, covers, stop }) => [
    ...notIn(idsOf(tables.limits), file, "limit", stop === undefined ? [] : [stop]),
    ...notIn(idsOf(tables.families), file, "family", [family]),
    ...notIn(idsOf(tables.stations), file, "station", [...adds, ...lacks, ...(assembly?.stations ?? [])]),
    ...notIn(idsOf(tables.hazards), file, "hazard", hazards),
    ...notIn(idsOf(tables.repairs), file, "repair", Object.keys(repairs ?? {})),
    ...notIn(idsOf(tables.access), file, "access", Object.keys(covers ?? {})),
  ]);
}

/** Each limit is one of safety, or says what loosening it does at worst: none is left undecided. */
function limitIssues({ id, safety, lax }: Tables["limits"][number]): Issue[] {
  if ((safety === true) !== (lax !== undefined)) return [];
  return [
    issue(
      "tables/limits",
      "limit/undecided",
      `Limit "${id}" is ${safety ? "one of safety and says what loosening does" : "neither one of safety nor says what loosening does"}: write safety: true or lax: why, one of them.`,
      id,
    ),
  ];
}

/** Tables that name rows of other tables. */
function tableIssues(tables: Tables, moves: ReadonlyMap<string, Move>): Issue[] {
  const [families, stations, faults, repairs, limits, checks] = [
    idsOf(tables.families),
    idsOf(tables.stations),
    idsOf(tables.faults),
    idsOf(tables.repairs),
    idsOf(tables.limits),
    idsOf(tables.deadChecks),
  ];
  const everyId = new Set(Object.values(tables).flatMap((rows: Rows) => rows.map(({ id }) => id)));
  const tuned = new Set<string>(PARAMETER_IDS);
  return [
    ...familyIssues(tables),
    ...tables.repairs.flatMap((row) => [
      ...notIn(stations, "tables/repairs", "station", row.replaces ?? []),
      ...notIn(idsOf(tables.access), "tables/repairs", "access", row.access ?? []),
      ...notIn(faults, "tables/repairs", "fault", Object.keys(row.brings ?? {})),
      ...notIn(repairs, "tables/repairs", "repair", [row.neighbour?.repair ?? row.id]),
      ...notIn(idsOf(tables.kit), "tables/repairs", "tool", row.tool === undefined ? [] : [row.tool]),
    ]),
    ...kindIssues(tables),
    ...tables.inseparable.flatMap((row) => [
      ...notIn(faults, "tables/inseparable", "fault", row.faults),
      ...notIn(repairs, "tables/inseparable", "repair", [row.repair]),
    ]),
    ...tables.signs.flatMap(({ id, settles = [] }) =>
      notIn(new Set(moves.keys()), "tables/signs", "move", [signMove(id), ...settles]),
    ),
    ...tables.limits.flatMap(limitIssues),
    ...tables.hazards.flatMap((row) => notIn(families, "tables/hazards", "family", row.families)),
    ...tables.seen.flatMap((row) => [
      ...notIn(repairs, "tables/seen", "repair", [row.repair]),
      ...notAnswers(moves, "tables/seen", "look", [row]),
    ]),
    ...tables.deadChecks.flatMap((row) => [
      ...notIn(limits, "tables/deadChecks", "limit", row.limits),
      ...notIn(checks, "tables/deadChecks", "check", row.insteadOf === undefined ? [] : [row.insteadOf]),
    ]),
    ...tables.protections.flatMap(({ move }) =>
      notIn(new Set(moves.keys()), "tables/protections", "move", move === undefined ? [] : [move]),
    ),
    ...tables.aliases.flatMap((row) => [
      ...notIn(everyId, "tables/aliases", "id", [row.now]),
      ...(tables.moves.some(({ id }) => id === row.id) || faults.has(row.id)
        ? [
            wrong(
              "tables/aliases",
              "alias",
              `"${row.id}" is in use: an alias is an id that no longer stands.`,
              row.id,
            ),
          ]
        : []),
    ]),
    ...PARAMETER_IDS.filter((id) => !tables.parameters.some((row) => row.id === id)).map((id) =>
      dangling("tables/parameters", "parameter", id),
    ),
    ...tables.parameters
      .filter(({ id }) => !tuned.has(id))
      .map(({ id }) => wrong("tables/parameters", "parameter", `nothing reads the parameter "${id}".`, id)),
  ];
}

/** Every reference that leads nowhere, every case that does not add up, with its file. */
export function crossReferences(tables: Tables): Issue[] {
  const moves = new Map(tables.moves.map((move) => [move.id, move]));
  const sources = idsOf(tables.sources);
  const named: [string, Rows][] = Object.entries(tables);
  const fileOf = (table: string, id: string): string =>
    table === "moves" || table === "faults" ? `${table}/${id}` : `tables/${table}`;
  return [
    ...machineIssues(tables),
    ...touchIssues(tables),
    ...moveIssues(tables, moves),
    ...faultIssues(tables, moves),
    ...tableIssues(tables, moves),
    ...withoutHands(tables).map((id) =>
      wrong(
        "tables/repairs",
        "minutes",
        `"${id}" takes no longer than its covers: minutes of a repair are more than those to open and close what it names.`,
        id,
      ),
    ),
    ...named.flatMap(([table, rows]) =>
      rows.flatMap(({ id, provenance }) => [
        ...(ID_PATTERN.test(id)
          ? []
          : [wrong(fileOf(table, id), "id", `"${id}" is no id: an id is written in kebab-case.`, id)]),
        ...notIn(sources, fileOf(table, id), "source", [provenance.source]),
      ]),
    ),
  ];
}
