import * as yup from "yup";
import { type Shape, strictObject } from "../validate";

/** Devices that were let in, as the shop's computer keeps them: from which address, and until when (milliseconds). */
export const sessionsSchema = yup
  .array(
    strictObject({
      id: yup.string().uuid().required(),
      beganAt: yup.string().required(),
      until: yup.number().integer().required(),
      address: yup.string().defined(),
    }).required(),
  )
  .required();

export type Sessions = Shape<typeof sessionsSchema>;
