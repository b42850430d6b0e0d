import type { KeyboardEvent, MouseEvent } from "react";
import type { Pin } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { offWords, PICTURE_OF } from "@/words/put-back";
import { PictureField } from "../fields/PictureField";
import { Problem } from "../fields/Problem";
import { pictureAddress } from "../state/send-picture";
import { usePost } from "../state/use-post";

const STEP = 0.02;
const KEYS: ReadonlyMap<string, readonly [number, number]> = new Map(
  Object.entries<readonly [number, number]>({
    ArrowLeft: [-STEP, 0],
    ArrowRight: [STEP, 0],
    ArrowUp: [0, -STEP],
    ArrowDown: [0, STEP],
  }),
);
const clamp = (share: number): number => Math.min(1, Math.max(0, share));

interface PinMarkProps {
  readonly x: number;
  readonly y: number;
  readonly label: string;
  readonly isLarge: boolean;
}

function PinMark({ x, y, label, isLarge }: PinMarkProps) {
  return (
    <span
      className={`num -translate-x-1/2 -translate-y-1/2 pointer-events-none absolute grid place-items-center rounded-full border-2 border-ink bg-paper font-semibold ${isLarge ? "h-11 w-11 outline-4 outline-teal" : "h-7 w-7 text-sm"}`}
      style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
    >
      {label}
    </span>
  );
}

interface PictureProps {
  readonly job: JobView;
  /** Line of the picture on show. */
  readonly shown: number | undefined;
  /** Line whose pin is large. */
  readonly current: number | undefined;
  /** The place chosen for the next line. */
  readonly pin: Pin | null;
  /** A line that came off before and is being pinned now. */
  readonly pinning: number | undefined;
  onShow(line: number): void;
  /** Undefined where pins cannot be set now. */
  readonly onPin?: ((pin: Pin | null) => void) | undefined;
}

/** The picture with its pins: a tap or the arrow keys say where the next thing comes off. */
function Whole({ job, shown, current, pin, onPin }: PictureProps) {
  const picture = job.pictures.find(({ seq }) => seq === shown);
  if (!picture) return null;
  const here = pin?.picture === picture.seq ? pin : null;
  const onClick = (event: MouseEvent<HTMLButtonElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    // Pressed by key: no place was pointed at, so the pin begins in the middle.
    const isByKey = event.detail === 0;
    const x = isByKey ? 0.5 : clamp((event.clientX - box.left) / box.width);
    const y = isByKey ? 0.5 : clamp((event.clientY - box.top) / box.height);
    onPin?.({ picture: picture.seq, x, y });
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = KEYS.get(event.key);
    if (!by || !here) return;
    event.preventDefault();
    onPin?.({ picture: picture.seq, x: clamp(here.x + by[0]), y: clamp(here.y + by[1]) });
  };
  return (
    <button
      type="button"
      className="relative block w-full cursor-crosshair"
      aria-label={
        onPin ? "Picture: where the next thing comes off; arrow keys move the pin" : "Picture with its pins"
      }
      data-testid="pin-picture"
      onClick={onClick}
      onKeyDown={onKeyDown}
    >
      <img
        src={pictureAddress(picture.sha256, "whole")}
        alt={`Line ${picture.seq}: ${PICTURE_OF[picture.of]}`}
        width={picture.width}
        height={picture.height}
        className="h-auto w-full rounded-[3px] border border-ring"
      />
      {job.removed
        .filter((line) => line.pin?.picture === picture.seq)
        .map((line) => (
          <PinMark
            key={line.seq}
            x={line.pin?.x ?? 0}
            y={line.pin?.y ?? 0}
            label={String(line.seq)}
            isLarge={line.seq === current}
          />
        ))}
      {here ? <PinMark x={here.x} y={here.y} label="?" isLarge /> : null}
    </button>
  );
}

/** Pictures of the inside: take one, show one, pin on it. */
export function PinPicture(props: PictureProps) {
  const { job, shown, pin, pinning, onShow, onPin, current } = props;
  const { post, problem } = usePost(job.jobId);
  const line = job.removed.find(({ seq }) => seq === current);
  return (
    <section aria-label="Pictures" className="mb-3">
      <Whole {...props} />
      {onPin ? (
        <p className="mt-1 text-soft">
          {pinning !== undefined
            ? `Tap the picture where line ${pinning} belongs.`
            : pin
              ? "The next thing that comes off is pinned here."
              : job.pictures.length > 0
                ? "Tap the picture where the next thing comes off."
                : "Take a picture before the first screw."}
          {pin ? (
            <button
              type="button"
              className="ml-3 min-h-11 text-teal underline underline-offset-4"
              onClick={() => onPin(null)}
            >
              no pin
            </button>
          ) : null}
        </p>
      ) : line?.pin ? (
        <p className="mt-1 text-soft">
          Pin {line.seq}: {offWords(line)}.
        </p>
      ) : null}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <PictureField
          label="Picture"
          isLoud={job.pictures.length === 0 && onPin !== undefined}
          onKept={(kept) =>
            void post({ kind: "picture", stage: "put-back", payload: { ...kept, of: "inside", words: "" } })
          }
        />
        {job.pictures.map(({ seq, sha256, of }) => (
          <button
            key={seq}
            type="button"
            aria-label={`Show picture of line ${seq}, ${PICTURE_OF[of]}`}
            aria-pressed={seq === shown}
            className={`rounded-[3px] border-2 ${seq === shown ? "border-teal" : "border-ring"}`}
            onClick={() => onShow(seq)}
          >
            <img src={pictureAddress(sha256, "small")} alt="" className="h-11" />
          </button>
        ))}
      </div>
      <Problem text={problem} />
    </section>
  );
}
