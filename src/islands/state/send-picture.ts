import { useState } from "react";
import type { Picture } from "@/core/job/log/entry";
import { request } from "./api";

type Kept = Pick<Picture, "sha256" | "width" | "height">;

/** Where a kept picture is shown from. */
export function pictureAddress(sha256: string, size: "small" | "whole"): string {
  return `/api/pictures/${sha256}${size === "small" ? "?size=small" : ""}`;
}

export interface PictureSender {
  readonly isBusy: boolean;
  readonly problem: string | undefined;
  /** @returns the picture as it is kept; undefined when it was refused, with the reason in `problem` */
  send(file: Blob): Promise<Kept | undefined>;
}

/** Sends a picture to the shop's computer, which checks it and keeps it. */
export function usePictureSender(): PictureSender {
  const [isBusy, setIsBusy] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const send = async (file: Blob): Promise<Kept | undefined> => {
    setIsBusy(true);
    const answer = await request("POST /api/pictures", { body: file });
    setIsBusy(false);
    setProblem(answer.ok ? undefined : answer.issues.map(({ message }) => message).join(" "));
    return answer.ok ? answer.value : undefined;
  };
  return { isBusy, problem, send };
}
