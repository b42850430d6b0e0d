import { movesFor } from "@/core/isolation/machine-model";
import { kindByName } from "@/core/job/door/machine-kind";
import { absentStations } from "@/core/job/isolation/absent";
import type { JobView } from "@/core/job/log/view";
import { NOT_KNOWN, stationsOf } from "@/core/knowledge/machine-kind";
import type { BenchNeed } from "@/core/knowledge/touches";
import { needOf } from "@/core/knowledge/touches";
import type { Move } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";

/** Something that this machine can be measured for. */
export interface Measurable {
  readonly key: string;
  readonly toolId: string;
  /** The move that the reading is taken for, where the tool judges one. */
  readonly move: Move | undefined;
  readonly title: string;
  /** As it stands on its chip. */
  readonly name: string;
  readonly need: BenchNeed;
  readonly isRead: boolean;
}

type MeasuredShop = Pick<Shop, "moves" | "tools" | "families" | "archetypes">;

function movesOf(job: JobView, shop: MeasuredShop, stations: ReadonlySet<string>): readonly Move[] {
  const family = job.takenIn?.family ?? NOT_KNOWN;
  if (family !== NOT_KNOWN) return movesFor(shop.moves, family, stations);
  // A motor of unknown kind may have any of them.
  return shop.moves.filter((move) => move.stations.every((station) => stations.has(station)));
}

/**
 * What a machine can be measured for, by its stations: a line for each move that a tool judges on it, and one for each
 * tool that judges none. Never a part that a machine of this kind does not have.
 */
export function measurablesOf(job: JobView, shop: MeasuredShop): readonly Measurable[] {
  const said = job.stations;
  const archetype = kindByName(job.takenIn?.machine ?? "", shop.archetypes)?.id;
  const family = job.takenIn?.family ?? NOT_KNOWN;
  const stations = new Set(said ?? stationsOf({ family, archetype }, shop));
  for (const id of absentStations(job, shop.moves)) stations.delete(id);
  const moves = movesOf(job, shop, stations);
  return shop.tools.flatMap((tool): Measurable[] => {
    const judged = tool.judges.flatMap((judgedId) => moves.find(({ id }) => id === judgedId) ?? []);
    if (judged.length > 0)
      return judged.map((move) => ({
        key: move.id,
        toolId: tool.id,
        move,
        title: move.title,
        name: move.part?.name ?? move.title,
        need: move.needs,
        isRead: job.readings.some(({ moveId }) => moveId === move.id),
      }));
    if (!tool.stations.some((station) => stations.has(station))) return [];
    const isRead = job.readings.some(({ toolId }) => toolId === tool.id);
    return [
      {
        key: tool.id,
        toolId: tool.id,
        move: undefined,
        title: tool.title,
        name: tool.title,
        need: needOf(tool.touches),
        isRead,
      },
    ];
  });
}
