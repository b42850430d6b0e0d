import * as yup from "yup";
import { finiteNumber } from "../validate";

/** Overrides of limits by id, SI. Whether an id exists and may be changed is `resolveLimits`' business. */
export const limitOverrides = yup
  .lazy((value: unknown) => {
    const ids = typeof value === "object" && value !== null ? Object.keys(value) : [];
    const fields = ids.map((id) => [id, finiteNumber().required().label(`Limit ${id}`)] as const);
    return yup.object(Object.fromEntries(fields)).optional().default(undefined);
  })
  .meta({ each: finiteNumber() });
