import type { Picture } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { PICTURE_OF } from "@/words/put-back";
import { PictureField } from "../fields/PictureField";
import { Problem } from "../fields/Problem";
import { pictureAddress } from "../state/send-picture";
import { usePost } from "../state/use-post";

const TAKEN: readonly Picture["of"][] = ["nameplate", "outside", "damage"];

/** The pictures of a job, and one tap for another of the plate, of the whole, of the damage. */
export function JobPictures({ job }: { readonly job: JobView }) {
  const { post, problem } = usePost(job.jobId);
  return (
    <div className="mb-4">
      <div className="flex flex-wrap items-center gap-3">
        {TAKEN.map((of) => (
          <PictureField
            key={of}
            label={`Picture: ${PICTURE_OF[of]}`}
            onKept={(kept) =>
              void post({ kind: "picture", stage: "take-in", payload: { ...kept, of, words: "" } })
            }
          />
        ))}
        {job.pictures.map(({ seq, sha256, of }) => (
          <a key={seq} href={pictureAddress(sha256, "whole")} target="_blank" rel="noreferrer">
            <img
              src={pictureAddress(sha256, "small")}
              alt={`Line ${seq}: ${PICTURE_OF[of]}`}
              className="h-16 rounded-[3px] border border-ring"
            />
          </a>
        ))}
      </div>
      <Problem text={problem} />
    </div>
  );
}
