import { last, list } from "../../view-part";

export const view = {
  complaint: last<"complaint">(),
  /** Every way it was told, first and since. */
  told: list<"complaint">(),
};
