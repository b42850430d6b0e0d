import { formatText } from "@/core/quantity/format";
import type { Finding } from "@/core/tools/finding.input";
import type { PictureProps } from "@/drawing/picture-props";
import { leadsOf } from "@/drawing/typed";
import { WIRE_COLOURS, wireFill } from "@/drawing/wire-colours";
import { type DrawnWinding, type Layout, layoutOf } from "./layout";

const STEP = 124;
const COLLAR = 76;
const RISE = 50;

function windingsOf({ figures }: Pick<Finding, "figures">): DrawnWinding[] {
  return figures.flatMap(({ id, value }) => {
    const found = /^winding-(-?\d+)-(-?\d+)$/.exec(id);
    return found ? [{ a: Number(found[1]), b: Number(found[2]), ohms: value }] : [];
  });
}

interface Misfit {
  readonly a: number;
  readonly b: number;
  readonly had: number;
  readonly should: number;
}

function misfitOf({ reasons }: Pick<Finding, "reasons">, leads: readonly string[]): Misfit | undefined {
  const params = reasons.find((one) => one.params["should"] !== undefined)?.params;
  if (!params) return undefined;
  const [a, b] = [leads.indexOf(String(params["a"])), leads.indexOf(String(params["b"]))];
  if (a < 0 || b < 0) return undefined;
  return { a, b, had: Number(params["had"] ?? 0), should: Number(params["should"]) };
}

/** A coil between two collars: three humps on a wire that rises from one and falls to the other. */
function Coil({
  from,
  to,
  level,
  base,
  ohms,
  isHigh,
}: {
  from: number;
  to: number;
  level: number;
  base: number;
  ohms: number;
  isHigh: boolean;
}) {
  const [left, right] = from < to ? [from, to] : [to, from];
  const y = base - level * RISE;
  const middle = (left + right) / 2;
  const humps = [-27, -9, 9].map((x) => `M${middle + x} ${y} a9 11 0 0 1 18 0`).join(" ");
  const look = isHigh ? "stroke-copper" : "stroke-ink";
  return (
    <g fill="none" strokeWidth="2.5" className={look}>
      <path d={`M${left} ${base} V${y} H${middle - 27} M${middle + 27} ${y} H${right} V${base}`} />
      <path d={humps} />
      <text
        x={middle}
        y={y - 18}
        textAnchor="middle"
        fontSize="16"
        fontWeight="600"
        stroke="none"
        className={`num ${isHigh ? "fill-copper" : "fill-ink"}`}
      >
        {formatText(ohms, "Ω")}
      </text>
    </g>
  );
}

function Collar({
  x,
  base,
  name,
  role,
}: {
  x: number;
  base: number;
  name: string | undefined;
  role: string | undefined;
}) {
  if (name === undefined) return <circle cx={x} cy={base + 24} r="7" className="fill-ink" />;
  const isLarge = role !== undefined;
  const height = isLarge ? 68 : 54;
  const isColour = WIRE_COLOURS.some((one) => one.name === name);
  return (
    <g>
      <rect
        x={x - COLLAR / 2}
        y={base + 27 - height / 2}
        width={COLLAR}
        height={height}
        rx="3"
        className="fill-sheet stroke-ink"
        strokeWidth="2.5"
      />
      <rect
        x={x - 13}
        y={base + 30 + height / 2}
        width="26"
        height="9"
        className={isColour ? "stroke-ring" : "fill-steel stroke-ring"}
        fill={isColour ? wireFill(name) : undefined}
      />
      <text
        x={x}
        y={base + (isLarge ? 26 : 33)}
        textAnchor="middle"
        fontSize="16"
        fontWeight="600"
        className="fill-ink"
      >
        {name}
      </text>
      {role === undefined ? null : (
        <text x={x} y={base + 45} textAnchor="middle" fontSize="14" className="fill-soft">
          {role}
        </text>
      )}
    </g>
  );
}

/** What did not fit, below the leads: a dashed line with a notch, what it had and what it should be. */
function Notch({ misfit, at, base }: { misfit: Misfit; at: (lead: number) => number; base: number }) {
  const [left, right] = [at(misfit.a), at(misfit.b)].sort((one, other) => one - other);
  const [x1, x2, y] = [left ?? 0, right ?? 0, base + 112];
  const middle = (x1 + x2) / 2;
  return (
    <g className="stroke-oxide" fill="none" strokeWidth="2.5">
      <path d={`M${x1} ${base + 80} V${y} H${x2} V${base + 80}`} strokeDasharray="8 6" />
      <path d={`M${middle - 9} ${y - 7} h18 l-9 15 z`} className="fill-oxide" stroke="none" />
      <text
        x={middle}
        y={y + 30}
        textAnchor="middle"
        fontSize="16"
        fontWeight="600"
        className="fill-oxide"
        stroke="none"
      >
        had {formatText(misfit.had, "Ω")}, should be {formatText(misfit.should, "Ω")}
      </text>
    </g>
  );
}

function told(leads: readonly string[], windings: readonly DrawnWinding[]): string {
  if (windings.length === 0) return `Leads ${leads.join(", ")}; no winding is known yet`;
  const name = (lead: number): string => leads[lead] ?? "a point inside";
  return windings.map(({ a, b, ohms }) => `${name(a)} to ${name(b)} ${formatText(ohms, "Ω")}`).join("; ");
}

function heightOf(windings: readonly DrawnWinding[], { levelOf }: Layout): number {
  return Math.max(1, ...windings.map(levelOf)) * RISE + 36;
}

/** The map: leads as collars along a shaft, windings as coils with their ohms, what does not fit notched below. */
export function Figure({ draft, finding }: PictureProps) {
  const leads = leadsOf(draft, "pairs");
  if (leads.length < 2) return null;
  const windings = finding ? windingsOf(finding) : [];
  const layout = layoutOf(leads.length, windings);
  const misfit = finding && misfitOf(finding, leads);
  const common = finding?.reasons.find(({ params }) => typeof params["common"] === "string")?.params[
    "common"
  ];
  const base = heightOf(windings, layout);
  const width = Math.max(300, layout.order.length * STEP);
  const height = base + (misfit ? 156 : 84);
  const at = (lead: number): number => (layout.order.indexOf(lead) + 0.5) * (width / layout.order.length);
  const largest = Math.max(0, ...windings.map(({ ohms }) => ohms));
  const side = ({ a, b }: DrawnWinding, lead: number): number => {
    const other = lead === a ? b : a;
    return at(lead) + (at(other) > at(lead) ? 18 : -18);
  };
  return (
    <div className="overflow-x-auto">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="w-full"
        style={{ maxWidth: width, minWidth: Math.min(width, layout.order.length * 64) }}
        role="img"
        aria-label={told(leads, windings)}
        data-testid="lead-map"
      >
        <rect x="8" y={base + 23} width={width - 16} height="8" className="fill-steel" />
        {windings.map((winding) => (
          <Coil
            key={`${winding.a}-${winding.b}`}
            from={side(winding, winding.a)}
            to={side(winding, winding.b)}
            level={layout.levelOf(winding)}
            base={base}
            ohms={winding.ohms}
            isHigh={windings.length > 1 && winding.ohms === largest}
          />
        ))}
        {layout.order.map((lead) => (
          <Collar
            key={lead}
            x={at(lead)}
            base={base}
            name={leads[lead]}
            role={common !== undefined && common === leads[lead] ? "common" : undefined}
          />
        ))}
        {misfit ? <Notch misfit={misfit} at={at} base={base} /> : null}
      </svg>
    </div>
  );
}
