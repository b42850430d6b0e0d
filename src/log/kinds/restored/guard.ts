import { struckSeqs } from "@/core/job/log/lines";
import { issue } from "@/core/result";
import type { Guard } from "../../guard";

export const guard: Guard<"restored"> = ({ seq }, _, entries) =>
  struckSeqs(entries).has(seq)
    ? []
    : [issue("payload.seq", "guard/not-struck", `Line ${seq} is not struck out.`, seq)];
