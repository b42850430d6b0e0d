import type { StationShare } from "@/core/isolation/explain";
import type { Station } from "@/core/knowledge/types";
import { formatChance } from "@/core/quantity/format";

const WIDTH = 1086;
const MIDDLE = 46;
const SHOWN_FROM = 0.05;
const TALLEST = 56;

interface PathProps {
  readonly shares: readonly StationShare[];
  readonly stations: readonly Station[];
  readonly chosen: string | undefined;
  onChoose(station: string | undefined): void;
}

interface BlockProps {
  readonly share: StationShare;
  readonly x: number;
  readonly width: number;
}

/** Over a narrow block "about" stands above its figure, so that neighbours keep apart. */
const NARROW = 75;

function ChanceAbove({
  chance,
  x,
  width,
}: {
  readonly chance: number;
  readonly x: number;
  readonly width: number;
}) {
  const words = formatChance(chance);
  const [about, ...figure] = words.split(" ");
  const lines = width < NARROW ? [about ?? "", figure.join(" ")] : [words];
  return (
    <text textAnchor="middle" fontSize={width < NARROW ? 14 : 16} fontWeight="600" className="fill-ink">
      {lines.map((line, index) => (
        <tspan key={line} x={x} y={13 - 15 * (lines.length - 1 - index)}>
          {line}
        </tspan>
      ))}
    </text>
  );
}

/** A block filled with copper to its chance, a dashed neck while unlikely, a solid neck with its line once proved good. */
function Block({ share, x, width }: BlockProps) {
  if (share.chance >= SHOWN_FROM) {
    const height = share.chance > 0.5 ? TALLEST : 44;
    const top = MIDDLE - height / 2;
    const fill = (height - 4) * Math.min(1, share.chance);
    return (
      <g>
        <rect
          x={x - width / 2}
          y={top}
          width={width}
          height={height}
          rx="3"
          className="fill-sheet stroke-ink"
          strokeWidth="1.5"
        />
        <rect
          x={x - width / 2 + 2}
          y={top + height - 2 - fill}
          width={width - 4}
          height={fill}
          className="fill-copper"
          style={{ transition: "all 400ms" }}
        />
        <ChanceAbove chance={share.chance} x={x} width={width} />
      </g>
    );
  }
  const isProved = share.provedGoodBy !== null;
  const half = isProved ? 17 : 22;
  const tall = isProved ? 20 : 26;
  return (
    <g>
      <rect
        x={x - half}
        y={MIDDLE - tall / 2}
        width={half * 2}
        height={tall}
        rx="3"
        className="fill-neck stroke-ring"
        strokeWidth="1.5"
        strokeDasharray={isProved ? undefined : "4 3"}
      />
      {isProved ? (
        <text
          x={x}
          y={MIDDLE + 5}
          textAnchor="middle"
          fontSize="14"
          fontWeight="600"
          className="num fill-ink"
        >
          {share.provedGoodBy}
        </text>
      ) : null}
    </g>
  );
}

function words(share: StationShare, label: string): string {
  const proved = share.provedGoodBy === null ? "" : `, proved good by line ${share.provedGoodBy}`;
  return `${label}: ${formatChance(share.chance)}${proved}`;
}

/** The way electricity becomes motion in this machine, and where along it the fault sits. */
export function PowerPath({ shares, stations, chosen, onChoose }: PathProps) {
  const shown = shares.filter(({ id }) => stations.some((station) => station.id === id));
  const labelOf = (id: string): string => stations.find((station) => station.id === id)?.label ?? id;
  const step = WIDTH / Math.max(1, shown.length);
  return (
    <div className="relative hidden md:block">
      <svg
        viewBox={`0 -16 ${WIDTH} 124`}
        className="w-full"
        role="img"
        aria-label={`Power path. ${shown.map((share) => words(share, labelOf(share.id))).join(". ")}`}
      >
        <rect x="0" y={MIDDLE - 4} width={WIDTH} height="8" className="fill-steel" />
        {shown.map((share, index) => (
          <Block key={share.id} share={share} x={step * (index + 0.5)} width={step - 22} />
        ))}
      </svg>
      <div className="-mt-8 flex">
        {shown.map(({ id, chance }) => (
          <button
            key={id}
            type="button"
            aria-pressed={chosen === id}
            onClick={() => onChoose(chosen === id ? undefined : id)}
            className={`min-h-11 flex-1 px-1 text-center text-[15px] leading-tight ${chance >= SHOWN_FROM ? "font-bold" : "text-soft"} ${chosen === id ? "border-teal border-b-4" : ""}`}
          >
            {labelOf(id)}
          </button>
        ))}
      </div>
    </div>
  );
}

/** The same on a phone: stations in doubt as bars, runs of the others folded to one line. */
export function FoldedPath({ shares, stations }: Pick<PathProps, "shares" | "stations">) {
  const shown = shares.filter(({ id }) => stations.some((station) => station.id === id));
  const doubtful = shown.filter(({ chance }) => chance >= SHOWN_FROM);
  const labelOf = (id: string): string => stations.find((station) => station.id === id)?.label ?? id;
  return (
    <ul className="grid gap-1 pb-2 md:hidden" aria-label="Power path">
      {doubtful.map((share) => (
        <li
          key={share.id}
          className="relative flex min-h-8 items-center justify-between border border-ink bg-sheet px-2"
        >
          <span
            className="absolute inset-y-0 left-0 border-copper border-b-4"
            style={{ width: `${share.chance * 100}%` }}
            aria-hidden="true"
          />
          <span className="relative font-semibold">{labelOf(share.id)}</span>
          <span className="relative">{formatChance(share.chance)}</span>
        </li>
      ))}
      <li className="text-soft">{shown.length - doubtful.length} good or unlikely</li>
    </ul>
  );
}
