import type { JobView } from "@/core/job/log/view";
import { wireMap } from "@/core/job/reassembly/put-back";
import { WIRE_COLOURS, wireFill } from "@/drawing/wire-colours";

const ROW = 34;
const WIDTH = 340;
const LONGEST = 13;

/** Every wire that came off, drawn from its colour to its terminal; dashed while it is off. */
export function WireMap({ job }: { readonly job: JobView }) {
  const wires = wireMap(job);
  if (wires.length === 0) return null;
  const height = wires.length * ROW + 8;
  const said = wires
    .map(
      ({ colour, what, terminal, isBack }) =>
        `${colour || what} to ${terminal || "?"}${isBack ? ", back" : ""}`,
    )
    .join("; ");
  return (
    <section aria-label="Wire map" className="mb-3">
      <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">Wire map</h2>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="w-full max-w-[420px]"
        role="img"
        aria-label={`Wires: ${said}`}
      >
        <rect x={232} y={4} width={12} height={height - 8} className="fill-steel" />
        {wires.map(({ line, colour, what, terminal, isBack }, index) => {
          const y = index * ROW + ROW / 2 + 4;
          const stripe = WIRE_COLOURS.find(({ name }) => name === colour)?.stripe;
          return (
            <g key={line}>
              <text x="0" y={y + 5} className="fill-ink text-[15px]">
                {(colour || what).slice(0, LONGEST)}
              </text>
              <path d={`M108 ${y}H228`} stroke="var(--ring)" strokeWidth="9" />
              <path
                d={`M108 ${y}H228`}
                stroke={wireFill(colour)}
                strokeWidth="6"
                strokeDasharray={isBack ? "none" : "10 6"}
              />
              {stripe ? <path d={`M108 ${y}H228`} stroke={stripe} strokeWidth="2" /> : null}
              <rect
                x={226}
                y={y - 11}
                width={24}
                height={22}
                rx={2}
                className={isBack ? "fill-ink" : "fill-paper stroke-ring"}
                strokeWidth="2"
              />
              <text x={260} y={y + 5} className="fill-ink font-semibold text-[15px]">
                {terminal || "?"}
              </text>
            </g>
          );
        })}
      </svg>
    </section>
  );
}
