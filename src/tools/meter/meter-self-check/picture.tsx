import type { ReactNode } from "react";

const STEPS = [
  { name: "together", x: 0 },
  { name: "apart", x: 92 },
  { name: "a known resistor", x: 184 },
  { name: "a fresh cell", x: 296 },
] as const;

function Step({
  name,
  x,
  children,
}: {
  readonly name: string;
  readonly x: number;
  readonly children: ReactNode;
}) {
  return (
    <g transform={`translate(${x} 0)`}>
      {children}
      <text x="40" y="98" textAnchor="middle" fontSize="13" className="fill-soft" stroke="none">
        {name}
      </text>
    </g>
  );
}

/** The four things that the probes touch, one after the other; nothing of a machine among them. */
export function Probes() {
  const [together, apart, resistor, cell] = STEPS;
  const tips = (left: number, right: number) => (
    <path
      d={`M${left - 14} 12 L${left} 58 M${right + 14} 12 L${right} 58`}
      className="stroke-teal"
      strokeWidth="5"
    />
  );
  return (
    <svg
      viewBox="0 0 386 106"
      className="h-auto w-full max-w-[430px]"
      role="img"
      aria-label="The probes together; the probes apart; on the two ends of a known resistor; on the two ends of a fresh cell."
      fill="none"
      strokeWidth="2"
    >
      <Step {...together}>{tips(38, 42)}</Step>
      <Step {...apart}>{tips(20, 60)}</Step>
      <Step {...resistor}>
        {tips(14, 66)}
        <path d="M6 62 H22 l4 -7 l7 14 l7 -14 l7 14 l7 -14 l4 7 H74" className="stroke-copper" />
      </Step>
      <Step {...cell}>
        {tips(10, 70)}
        <rect x="10" y="52" width="54" height="22" rx="3" className="fill-neck stroke-ink" />
        <rect x="64" y="58" width="6" height="10" className="fill-steel stroke-ink" />
        <path d="M54 59 v8 M50 63 h8 M18 63 h8" className="stroke-ink" />
      </Step>
    </svg>
  );
}
