import qrcode from "qrcode";
import { accessCode, needsAccess } from "./access";
import { reachable } from "./reachable";

export interface AccessPicture {
  readonly code: string;
  readonly address: string;
  /** The address with the code, as a data URL. */
  readonly picture: string;
}

/** What Set-up shows to let another device in; null where the shop is served on this machine only. */
export async function accessPicture(asked: string): Promise<AccessPicture | null> {
  if (!needsAccess()) return null;
  const origin = reachable(asked);
  const code = accessCode();
  const picture = await qrcode.toDataURL(`${origin}/access#${code}`, { margin: 1, width: 280 });
  return { code, address: origin, picture };
}
