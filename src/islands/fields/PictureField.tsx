import Camera from "lucide-react/icons/camera";
import type { Picture } from "@/core/job/log/entry";
import { usePictureSender } from "../state/send-picture";
import { Problem } from "./Problem";

interface PictureFieldProps {
  readonly label: string;
  readonly isLoud?: boolean;
  onKept(picture: Pick<Picture, "sha256" | "width" | "height">): void;
}

/** Takes a picture with the camera, or one from a file; it is on the shop's computer before anything names it. */
export function PictureField({ label, isLoud = false, onKept }: PictureFieldProps) {
  const { send, isBusy, problem } = usePictureSender();
  const take = async (files: FileList | null): Promise<void> => {
    for (const file of files ?? []) {
      const kept = await send(file);
      if (kept) onKept(kept);
    }
  };
  return (
    <div>
      <label
        className={`btn ${isLoud ? "btn-primary btn-bench" : "btn-outline"} has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-teal`}
        aria-busy={isBusy}
      >
        <Camera size={20} aria-hidden="true" />
        {isBusy ? "Keeping the picture …" : label}
        <input
          type="file"
          accept="image/*"
          className="sr-only"
          disabled={isBusy}
          onChange={(event) => {
            const { files } = event.target;
            void take(files).then(() => {
              event.target.value = "";
            });
          }}
        />
      </label>
      <Problem text={problem} />
    </div>
  );
}
