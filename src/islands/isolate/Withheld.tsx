import type { Move } from "@/core/knowledge/types";
import type { LiveGap } from "@/core/safety/live-work";
import type { JobScreen } from "../frame/use-job-screen";

/** What keeps power off whatever else is made ready: until it is closed nothing live is on offer. */
const KEEPS_OFF: ReadonlySet<LiveGap> = new Set<LiveGap>(["stop", "scope", "air", "danger", "look-inside"]);

/** Moves that need power which is withheld; what each use of power lacks is asked once. */
export function withheldOf(
  moves: readonly Move[],
  { liveGaps }: Pick<JobScreen, "liveGaps">,
): readonly Move[] {
  const uses = [...new Set(moves.map(({ power }) => power))];
  const off = uses.filter((power) => power !== "off" && liveGaps(power).some((gap) => KEEPS_OFF.has(gap)));
  return moves.filter(({ power }) => off.includes(power));
}

interface WithheldProps {
  readonly moves: readonly Move[];
  onChoose(moveId: string): void;
}

/** What was read live before power was withheld can still be written down: folded away, and not as something to do. */
export function ReadBefore({ moves, onChoose }: WithheldProps) {
  if (moves.length === 0) return null;
  return (
    <details className="mt-2">
      <summary className="min-h-11 cursor-pointer py-2.5 text-soft">
        Power is withheld: nothing live is listed. Read live before? Write it down
      </summary>
      <ul>
        {moves.map(({ id, title }) => (
          <li key={id} className="border-rule border-t">
            <button type="button" className="min-h-12 w-full text-left" onClick={() => onChoose(id)}>
              {title}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
