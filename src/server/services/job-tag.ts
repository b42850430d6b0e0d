import qrcode from "qrcode";
import { reachable } from "./reachable";

/** The address of a job as a QR code to hang on the machine: a data URL of a picture. */
export function jobTag(origin: string, jobId: number): Promise<string> {
  return qrcode.toDataURL(`${reachable(origin)}/jobs/${jobId}/make-safe`, { margin: 1, width: 280 });
}
