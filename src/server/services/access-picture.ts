import qrcode from "qrcode";
import { accessCode, needsAccess } from "./access";

export interface AccessPicture {
  readonly code: string;
  readonly address: string;
  /** The address with the code, as a data URL. */
  readonly picture: string;
}

/** The address that a tablet can reach: never that of this machine to itself. */
function reachable(origin: string): string {
  const [name] = (process.env["GOOD_SPINDLE_HOSTS"] ?? "").split(",").filter((one) => one !== "");
  const { hostname, port } = new URL(origin);
  const isOwn = hostname === "localhost" || hostname === "127.0.0.1" || hostname === "[::1]";
  return isOwn && name !== undefined ? `http://${name}${port === "" ? "" : `:${port}`}` : origin;
}

/** What Set-up shows to let another device in; null where the shop is served on this machine only. */
export async function accessPicture(asked: string): Promise<AccessPicture | null> {
  if (!needsAccess()) return null;
  const origin = reachable(asked);
  const code = accessCode();
  const picture = await qrcode.toDataURL(`${origin}/access#${code}`, { margin: 1, width: 280 });
  return { code, address: origin, picture };
}
