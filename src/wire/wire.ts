import { ISOLATION_ROUTES } from "./isolation";
import { JOB_ROUTES } from "./jobs";
import { OWNER_ROUTES } from "./owners";
import { PART_ROUTES } from "./parts";
import { SHOP_ROUTES } from "./shop";
import { TOOL_ROUTES } from "./tools";

/**
 * Every route of the API, once: the server serves it, the description is written from it. A screen takes its types only,
 * so that no schema goes to the browser.
 */
export const WIRE = {
  ...JOB_ROUTES,
  ...OWNER_ROUTES,
  ...PART_ROUTES,
  ...TOOL_ROUTES,
  ...ISOLATION_ROUTES,
  ...SHOP_ROUTES,
};

export type Wire = typeof WIRE;
/** A method and a path, such as `GET /api/jobs/{id}`. */
export type RouteName = keyof Wire;
