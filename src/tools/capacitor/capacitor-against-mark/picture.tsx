import { allowedBand } from "@/core/markings/allowed-band";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { formatQuantity, formatText } from "@/core/quantity/format";
import type { Figure as Measured } from "@/core/tools/finding.input";
import type { PictureProps } from "@/drawing/picture-props";
import { textOf } from "@/drawing/typed";

const WIDTH = 560;
const LEFT = 12;
const SPAN = WIDTH - 2 * LEFT;

interface BandProps {
  readonly min: number;
  readonly max: number;
  readonly measured: Measured | undefined;
}

/** The band that the marking allows, and what the reading stands for, on one line from zero. */
function Band({ min, max, measured }: BandProps) {
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

/** The reading against what the marking allows, drawn as soon as the marking is read. */
export function Figure({ draft, finding, limits }: PictureProps) {
  const mark = parseCapacitorMark(textOf(draft, "mark"));
  if (!mark.ok) return null;
  const said = textOf(draft, "role");
  const role = said === "start" || said === "run" ? said : mark.value.role;
  const { min, max } = allowedBand(mark.value, role, limits);
  return <Band min={min} max={max} measured={finding?.figures[0]} />;
}

/** Where the probes go: one wire off, the resistor lifted at one end, a probe on each terminal. */
export function Probes({ draft }: PictureProps) {
  const bleedResistor = textOf(draft, "bleedResistor");
  const hasResistor = bleedResistor === "lifted" || bleedResistor === "across";
  const told = `A probe on each terminal of the capacitor, one of its wires off${hasResistor ? `, the bleed resistor ${bleedResistor === "lifted" ? "lifted at one end" : "still across"}` : ""}.`;
  return (
    <svg
      viewBox="0 0 240 132"
      className="h-auto w-full max-w-[240px]"
      role="img"
      aria-label={told}
      fill="none"
      strokeWidth="2"
    >
      <rect x="70" y="52" width="100" height="74" rx="10" className="fill-neck stroke-ink" />
      <rect x="92" y="40" width="14" height="12" className="fill-sheet stroke-ink" />
      <rect x="134" y="40" width="14" height="12" className="fill-sheet stroke-ink" />
      <path d="M99 40 L62 8" className="stroke-teal" strokeWidth="5" />
      <path d="M141 40 L178 8" className="stroke-teal" strokeWidth="5" />
      <path d="M148 47 h26" className="stroke-ink" />
      <path d="M92 47 h-10" className="stroke-ink" />
      <path d="M58 47 C40 47 40 70 22 70" className="stroke-ink" strokeDasharray="5 4" />
      <path d="M174 47 C196 47 200 70 222 70" className="stroke-ink" />
      {hasResistor ? (
        <g className="stroke-copper">
          <path d={`M99 66 h10 l4 -6 l6 12 l6 -12 l6 12 l4 -6 h${bleedResistor === "lifted" ? 0 : 6}`} />
          {bleedResistor === "lifted" ? <path d="M139 58 l8 -8" /> : null}
        </g>
      ) : null}
      <text x="120" y="104" textAnchor="middle" fontSize="14" className="fill-soft" stroke="none">
        discharged
      </text>
    </svg>
  );
}
