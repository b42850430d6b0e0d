interface ProbeProps {
  readonly bleedResistor: "" | "none" | "lifted" | "across";
}

/** Where the probes go: one wire off, the resistor lifted at one end, a probe on each terminal. */
export function ProbePicture({ bleedResistor }: ProbeProps) {
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
