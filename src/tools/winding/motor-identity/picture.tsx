import type { PictureProps } from "@/drawing/picture-props";
import { textOf } from "@/drawing/typed";

/** Places to look at, in the order of the fields, and which of them is said by which. */
const PLACES = [
  { number: 1, name: "leads", fields: ["entering", "low", "high", "third"], x: 262, y: 26 },
  { number: 2, name: "capacitor", fields: ["capacitor"], x: 344, y: 26 },
  { number: 3, name: "brushes", fields: ["brushes"], x: 414, y: 96 },
  { number: 4, name: "rotor", fields: ["rotor", "turn"], x: 84, y: 96 },
  { number: 5, name: "around it", fields: ["stator", "gauges"], x: 32, y: 44 },
  { number: 6, name: "copper rings", fields: ["rings", "shading"], x: 140, y: 36 },
  { number: 7, name: "switch with weights", fields: ["switch"], x: 246, y: 132 },
] as const;

/** Angles of the coils around the rotor, degrees. */
const COILS = [45, 135, 225, 315] as const;
/** Bars of a cage, a ring of dots in the rotor. */
const BARS = [0, 40, 80, 120, 160, 200, 240, 280, 320] as const;

const on = (angle: number, radius: number): { readonly x: number; readonly y: number } => ({
  x: 84 + radius * Math.cos((angle * Math.PI) / 180),
  y: 96 + radius * Math.sin((angle * Math.PI) / 180),
});

/** Seen on the shaft's end: what stands around the rotor, and the rotor. */
function EndOn() {
  return (
    <g>
      <circle cx="84" cy="96" r="68" className="fill-neck stroke-ink" />
      <circle cx="84" cy="96" r="40" className="fill-sheet stroke-ink" />
      <circle cx="84" cy="96" r="34" className="fill-steel stroke-ink" />
      {COILS.map((angle) => (
        <circle key={angle} cx={on(angle, 54).x} cy={on(angle, 54).y} r="9" className="stroke-copper" />
      ))}
      {BARS.map((angle) => (
        <circle
          key={angle}
          cx={on(angle, 27).x}
          cy={on(angle, 27).y}
          r="2.5"
          className="fill-ink"
          stroke="none"
        />
      ))}
      <path d="M112 50 l14 8" className="stroke-copper" strokeWidth="6" />
    </g>
  );
}

/** Seen from the side: leads and capacitor above, rotor on its shaft, switch at one end, brushes at the other. */
function SideOn() {
  return (
    <g>
      <rect x="216" y="56" width="176" height="80" rx="6" className="fill-neck stroke-ink" />
      <rect x="318" y="36" width="52" height="20" rx="8" className="fill-sheet stroke-ink" />
      <path d="M270 56 V38 M262 56 V38 M278 56 V38" className="stroke-ink" />
      <rect x="266" y="72" width="82" height="48" className="fill-steel stroke-ink" />
      <path d="M196 96 H266 M348 96 H416" className="stroke-ink" strokeWidth="5" />
      <path d="M238 80 l8 10 M238 112 l8 -10" className="stroke-ink" strokeWidth="5" />
      <rect x="366" y="86" width="16" height="20" className="fill-sheet stroke-copper" />
      <path d="M366 78 h16 M366 114 h16" className="stroke-ink" strokeWidth="6" />
    </g>
  );
}

/** Where to look for each clue, the ones that were said filled in. */
export function Figure({ draft }: PictureProps) {
  const isSaid = (fields: readonly string[]): boolean => fields.some((id) => textOf(draft, id) !== "");
  const said = PLACES.filter(({ fields }) => isSaid(fields)).map(({ name }) => name);
  return (
    <figure className="mt-4">
      <svg
        viewBox="0 0 440 172"
        className="h-auto w-full max-w-[520px]"
        role="img"
        aria-label={`Where to look: ${PLACES.map(({ number, name }) => `${number} ${name}`).join(", ")}. ${said.length > 0 ? `Said: ${said.join(", ")}.` : "Nothing is said yet."}`}
        fill="none"
        strokeWidth="2"
      >
        <EndOn />
        <SideOn />
        {PLACES.map(({ number, fields, x, y }) => (
          <g key={number}>
            <circle
              cx={x}
              cy={y}
              r="11"
              className={isSaid(fields) ? "fill-teal stroke-teal" : "fill-paper stroke-teal"}
            />
            <text
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontSize="14"
              fontWeight="600"
              className={isSaid(fields) ? "fill-paper" : "fill-ink"}
              stroke="none"
            >
              {number}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-soft">
        {PLACES.map(({ number, name }) => `${number}\u00a0${name.replaceAll(" ", "\u00a0")}`).join(" · ")}
      </figcaption>
    </figure>
  );
}
