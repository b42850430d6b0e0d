import type { PictureProps } from "@/drawing/picture-props";
import { wordsOf } from "@/drawing/typed";

/** Paints for the bands as drawn here; every band has its name under it, so that no colour has to be told apart. */
const PAINT: ReadonlyMap<string, string> = new Map([
  ["black", "#1c1c1c"],
  ["brown", "#6b3f1d"],
  ["red", "#b3261e"],
  ["orange", "#d9731a"],
  ["yellow", "#d8b400"],
  ["green", "#2f7d3b"],
  ["blue", "#2355a8"],
  ["violet", "#71409b"],
  ["grey", "#7c7c7c"],
  ["white", "#f4f4f4"],
  ["gold", "#a8842c"],
  ["silver", "#b9bec4"],
]);
const WIDTH = 360;
const LEFT = 54;
const STEP = 44;

/** The resistor as it was tapped, band by band, and where the probes go: one leg lifted. */
export function Probes({ draft }: PictureProps) {
  const bands = wordsOf(draft, "bands");
  const told = bands.length === 0 ? "no band said yet" : bands.join(", ");
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 120`}
      className="h-auto w-full max-w-[420px]"
      role="img"
      aria-label={`Resistor, one leg lifted, a probe at each end: ${told}`}
      strokeWidth="2"
    >
      <path d="M8 46 H36" className="stroke-ink" fill="none" />
      <path d="M324 46 H340 L352 22" className="stroke-ink" fill="none" />
      <path d="M14 46 L4 12" className="stroke-teal" strokeWidth="5" />
      <path d="M348 30 L356 4" className="stroke-teal" strokeWidth="5" />
      <rect x="36" y="24" width="288" height="44" rx="14" className="fill-neck stroke-ink" />
      {bands.map((band, index) => {
        const x = LEFT + index * STEP;
        return (
          // A band has no name but its place.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <g key={index}>
            <rect
              x={x}
              y="24"
              width="18"
              height="44"
              fill={PAINT.get(band) ?? "none"}
              className="stroke-ink"
              strokeDasharray={band === "burnt" ? "4 3" : undefined}
            />
            <text
              x={x + 9}
              y={index % 2 === 0 ? 88 : 108}
              textAnchor="middle"
              fontSize="15"
              className="fill-ink"
              stroke="none"
            >
              {band}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
