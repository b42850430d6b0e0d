interface SketchProps {
  /** What lies between the two terminals. */
  readonly part: "winding" | "capacitor" | "two-windings";
  /** What touches the terminals. */
  readonly touch: "probes" | "clips" | "clamp-and-leads";
  /** Whether a wire of it is off. */
  readonly isOff: boolean;
  /** A resistor across it, in the picture's own line. */
  readonly hasResistor?: boolean;
  /** Inside the part, such as "drained". */
  readonly state: string;
  /** The whole in a sentence, for those who cannot see it. */
  readonly told: string;
}

function Part({ part }: Pick<SketchProps, "part">) {
  const coil = (y: number) => `M96 ${y} a10 12 0 0 1 18 0 a10 12 0 0 1 18 0 a10 12 0 0 1 18 0`;
  if (part === "capacitor")
    return <path d="M116 70 v34 M130 70 v34 M84 87 H116 M130 87 H162" className="stroke-ink" />;
  if (part === "winding") return <path d={`M84 87 H96 ${coil(87)} H162`} className="stroke-ink" />;
  return (
    <g>
      <path d={`M84 76 H96 ${coil(76)} H162`} className="stroke-ink" />
      <path d={`M84 76 V108 H96 ${coil(108)} H162`} className="stroke-copper" />
    </g>
  );
}

/** Where the probes go: the part with its two terminals, what touches them, which wire is off. */
export function ProbeSketch({ part, touch, isOff, hasResistor = false, state, told }: SketchProps) {
  return (
    <svg
      viewBox="0 0 246 150"
      className="h-auto w-full max-w-[246px]"
      role="img"
      aria-label={told}
      fill="none"
      strokeWidth="2"
    >
      <rect x="60" y="56" width="126" height="86" rx="8" className="fill-neck stroke-ink" />
      <rect x="76" y="44" width="14" height="12" className="fill-sheet stroke-ink" />
      <rect x="156" y="44" width="14" height="12" className="fill-sheet stroke-ink" />
      <path d="M83 56 V87 M163 56 V87" className="stroke-ink" />
      <Part part={part} />
      <path
        d="M76 50 C52 50 48 72 18 72"
        className="stroke-ink"
        strokeDasharray={isOff ? "5 4" : undefined}
      />
      <path d="M170 50 C196 50 200 72 228 72" className="stroke-ink" />
      {touch === "clamp-and-leads" ? (
        <g className="stroke-teal" strokeWidth="4">
          <circle cx="206" cy="63" r="13" />
          <path d="M206 76 V96" />
          <path d="M83 44 V14 M163 44 V14" />
        </g>
      ) : (
        <g className="stroke-teal" strokeWidth="5">
          <path d="M83 44 L50 10 M163 44 L196 10" />
          {touch === "clips" ? <path d="M76 44 h14 M156 44 h14" strokeWidth="8" /> : null}
        </g>
      )}
      {hasResistor ? (
        <path d="M83 28 h22 l4 -6 l7 12 l7 -12 l7 12 l4 -6 h29" className="stroke-copper" />
      ) : null}
      <text x="123" y="134" textAnchor="middle" fontSize="14" className="fill-soft" stroke="none">
        {state}
      </text>
    </svg>
  );
}
