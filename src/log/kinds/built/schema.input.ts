import * as yup from "yup";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** Which stations of the power path this machine has, all of them named. */
export const schema = strictObject({
  stations: yup.array(yup.string().required().max(60)).label("Stations").required().min(1).max(30),
});

export const versions: readonly Upcaster[] = [];
