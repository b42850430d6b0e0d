import { SHEET } from "@/core/matching/drawing";
import type { MatchAnswer } from "@/core/matching/match-answer.input";

interface DrawingProps {
  readonly drawing: MatchAnswer["drawing"];
  readonly needed: MatchAnswer["needed"];
  /** The attribute that is measured now. */
  readonly lit: string | undefined;
}

type MarkOf = DrawingProps["drawing"]["marks"][number];

const LOOKS: Readonly<Record<DrawingProps["drawing"]["shapes"][number]["look"], string>> = {
  body: "fill-sheet stroke-ink",
  dark: "fill-neck stroke-ink",
  hole: "fill-paper stroke-ink",
  line: "fill-none stroke-ink",
  hidden: "fill-none stroke-soft [stroke-dasharray:4_4]",
};

const LINE = 15;
/** Half the length of the stroke at each end of a size. */
const TICK = 5;

/** The end of a size: a stroke across it. */
function tick([x = 0, y = 0]: readonly number[], [along, aside]: readonly [number, number]): string {
  return `M${x - aside * TICK} ${y + along * TICK} L${x + aside * TICK} ${y - along * TICK}`;
}

function lineOf({ kind, from, to }: MarkOf): string {
  const [[x = 0, y = 0], [x2 = 0, y2 = 0]] = [from, to];
  const length = Math.hypot(x2 - x, y2 - y) || 1;
  const along = [(x2 - x) / length, (y2 - y) / length] as const;
  const line = `M${x} ${y} L${x2} ${y2}`;
  return kind === "size" ? `${line} ${tick(from, along)} ${tick(to, along)}` : line;
}

function Words({
  mark,
  label,
  value,
}: {
  readonly mark: MarkOf;
  readonly label: string;
  readonly value: string;
}) {
  const [x, y] = mark.label;
  return (
    <text x={x} y={y} textAnchor={mark.anchor} fontSize="13" stroke="none" className="fill-ink">
      <tspan>{label}</tspan>
      <tspan x={x} dy={LINE} fontWeight="700">
        {value}
      </tspan>
    </text>
  );
}

/** As much as stands beside a drawing without running into the next mark. */
const LONGEST = 14;
const short = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text);

/** The part with what is measured on it: what is known stands at its place, what is to be measured next is drawn loud. */
export function PartDrawing({ drawing, needed, lit }: DrawingProps) {
  const words = new Map(drawing.words.map((one) => [one.of, one.words]));
  const known = new Map(needed.map((one) => [one.id, one]));
  return (
    <svg
      viewBox={`0 0 ${SHEET.width} ${SHEET.height}`}
      className="h-auto w-full max-w-[360px]"
      role="img"
      aria-label={drawing.told}
      fill="none"
      strokeWidth="1.5"
      strokeLinejoin="round"
    >
      {drawing.shapes.map(({ d, look }) => (
        <path key={d} d={d} className={LOOKS[look]} />
      ))}
      {drawing.marks.map((mark) => {
        const one = known.get(mark.of);
        const isLit = mark.of === lit;
        return (
          <g key={mark.of} className={isLit ? "stroke-teal" : "stroke-copper"} strokeWidth={isLit ? 3 : 1.5}>
            <path d={lineOf(mark)} />
            {mark.kind === "point" ? (
              <circle
                cx={mark.from[0]}
                cy={mark.from[1]}
                r={isLit ? 4 : 2.5}
                className={isLit ? "fill-teal" : "fill-copper"}
                stroke="none"
              />
            ) : null}
            <Words
              mark={mark}
              label={short(words.get(mark.of) ?? one?.label ?? mark.of)}
              value={short(one?.value ?? "?")}
            />
          </g>
        );
      })}
    </svg>
  );
}
