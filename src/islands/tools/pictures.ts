import type { ComponentType } from "react";
import type { PictureProps } from "@/drawing/picture-props";

/** What a room's picture hands out: the figure under the reading, and where the probes go. Either may be missing. */
export interface Pictures {
  readonly Figure?: ComponentType<PictureProps>;
  readonly Probes?: ComponentType<PictureProps>;
}

const ROOMS = import.meta.glob<Pictures>("../../tools/*/*/picture.tsx");

/** The pictures of a tool, where it has any. */
export async function loadPictures(topic: string, id: string): Promise<Pictures> {
  return (await ROOMS[`../../tools/${topic}/${id}/picture.tsx`]?.()) ?? {};
}
