import type { RatedMove } from "@/core/isolation/rated-move";
import type { Knowledge, Move } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import type { JobScreen } from "../frame/use-job-screen";

/** What the card of a move is drawn from. */
export interface MoveProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly knowledge: Knowledge;
  readonly move: Move;
  readonly rated: RatedMove | undefined;
}
