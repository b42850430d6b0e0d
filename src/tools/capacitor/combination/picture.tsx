import { parseCapacitorMark } from "@/core/markings/capacitor";
import { formatText } from "@/core/quantity/format";
import type { PictureProps } from "@/drawing/picture-props";
import { textOf } from "@/drawing/typed";

const PARTS = ["first", "second", "third"] as const;

/** Microfarads as marked, or the name of the place while nothing is typed. */
function labelOf(text: string, place: string): string {
  const mark = parseCapacitorMark(text);
  return mark.ok && mark.value.nominal !== undefined ? formatText(mark.value.nominal, "F") : place;
}

function Plates({ x, y, label }: { readonly x: number; readonly y: number; readonly label: string }) {
  return (
    <g>
      <path d={`M${x - 6} ${y - 16} v32 M${x + 6} ${y - 16} v32`} className="stroke-ink" strokeWidth="3" />
      <text x={x} y={y + 34} textAnchor="middle" fontSize="14" className="fill-ink" stroke="none">
        {label}
      </text>
    </g>
  );
}

/** Side by side: every part between the same two wires. */
function SideBySide({ labels }: { readonly labels: readonly string[] }) {
  const rows = labels.map((label, index) => ({ label, y: 34 + index * 64 }));
  const [first, last] = [rows[0]?.y ?? 0, rows.at(-1)?.y ?? 0];
  return (
    <>
      <path d={`M20 ${first} H70 M210 ${first} H260 M70 ${first} V${last} M210 ${first} V${last}`} />
      {rows.map(({ label, y }) => (
        <g key={y}>
          <path d={`M70 ${y} H134 M146 ${y} H210`} />
          <Plates x={140} y={y} label={label} />
        </g>
      ))}
    </>
  );
}

/** One after the other: one wire through all. */
function InLine({ labels }: { readonly labels: readonly string[] }) {
  const step = 240 / labels.length;
  const places = labels.map((label, index) => ({ label, x: 20 + step * (index + 0.5) }));
  const ends = [20, ...places.flatMap(({ x }) => [x - 6, x + 6]), 260];
  const wires = ends.flatMap((from, index) => (index % 2 === 0 ? [`M${from} 34 H${ends[index + 1]}`] : []));
  return (
    <>
      <path d={wires.join(" ")} />
      {places.map(({ label, x }) => (
        <Plates key={x} x={x} y={34} label={label} />
      ))}
    </>
  );
}

/** The parts as they are joined, and what they come to. */
export function Figure({ draft, finding }: PictureProps) {
  const isSeries = textOf(draft, "way") === "series";
  const labels = PARTS.filter((id) => id !== "third" || textOf(draft, id).trim() !== "").map((id) =>
    labelOf(textOf(draft, id), id),
  );
  const whole = finding?.figures.find(({ id }) => id === "capacitance");
  const height = isSeries ? 84 : 20 + labels.length * 64;
  const told = `${labels.join(", ")} ${isSeries ? "one after the other" : "side by side"}${whole ? `: ${formatText(whole.value, "F")} together` : ""}`;
  return (
    <svg
      viewBox={`0 0 280 ${height}`}
      className="mt-4 h-auto w-full max-w-[340px] stroke-ink"
      role="img"
      aria-label={told}
      fill="none"
      strokeWidth="2"
    >
      {isSeries ? <InLine labels={labels} /> : <SideBySide labels={labels} />}
    </svg>
  );
}
