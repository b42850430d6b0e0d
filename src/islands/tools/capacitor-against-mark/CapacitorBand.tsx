import { formatQuantity, formatText } from "@/core/quantity/format";
import type { Figure } from "@/core/tools/tool";

const WIDTH = 560;
const LEFT = 12;
const SPAN = WIDTH - 2 * LEFT;

interface BandProps {
  readonly min: number;
  readonly max: number;
  readonly measured: Figure | undefined;
}

/** The band that the marking allows, and what the reading stands for, on one line from zero. */
export function CapacitorBand({ min, max, measured }: BandProps) {
  const top = Math.max(max * 1.25, (measured?.upper ?? 0) * 1.08);
  const x = (value: number): number => LEFT + (value / top) * SPAN;
  const told = measured ? `Reading ${formatText(measured.value, "F")}` : "No reading yet";
  const lower = measured?.lower ?? 0;
  const upper = measured?.upper ?? 0;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 96`}
      className="w-full max-w-[620px]"
      role="img"
      aria-label={`${told}; the mark allows ${formatText(min, "F")} to ${formatText(max, "F")}`}
    >
      <rect x={LEFT} y="47" width={SPAN} height="4" className="fill-steel" />
      <rect
        x={x(min)}
        y="32"
        width={Math.max(3, x(max) - x(min))}
        height="34"
        rx="2"
        className="fill-neck stroke-verdigris"
        strokeWidth="2"
      />
      <text x={x((min + max) / 2)} y="90" textAnchor="middle" fontSize="14" className="num fill-ink">
        {formatQuantity(min, "F").number} to {formatText(max, "F")}
      </text>
      <text x={LEFT} y="78" fontSize="14" className="num fill-soft">
        0
      </text>
      {measured ? (
        <g>
          <rect
            x={x(lower)}
            y="40"
            width={Math.max(3, x(upper) - x(lower))}
            height="18"
            className="fill-copper"
          />
          <path d={`M${x(measured.value)} 38 l-6 -10 h12 z`} className="fill-ink" />
          <text
            x={Math.min(WIDTH - 60, Math.max(46, x(measured.value)))}
            y="20"
            textAnchor="middle"
            fontSize="16"
            fontWeight="600"
            className="num fill-ink"
          >
            {formatText(measured.value, "F")}
          </text>
        </g>
      ) : null}
    </svg>
  );
}
