import { completePicture } from "@/server/services/keep-picture";
import type { Completion } from "../../completion";

/** A picture is named by its hash once its bytes are kept. */
export const complete: Completion<"picture"> = (payload, { on }) => completePicture(payload, on);
