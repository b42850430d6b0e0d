import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { formatDay, formatQuantity, formatText } from "@/core/quantity/format";
import type { DriftPoint } from "./drift-points";

interface ChartProps {
  readonly points: readonly DriftPoint[];
  readonly unit: string;
  /** The limit that the last reading was held against. */
  readonly limit: number | undefined;
}

/** Readings of one thing over the days on which they were taken, with the limit they are held against. */
export function DriftChart({ points, unit, limit }: ChartProps) {
  const days = points.map(({ at }) => Date.parse(at));
  const rows = points.map(({ at, value }) => ({ at: Date.parse(at), value }));
  const tick = (value: number): string => formatQuantity(value, unit).number;
  const top = Math.max(...points.map(({ value }) => value), limit ?? 0) * 1.1;
  return (
    <div className="h-[190px] w-full max-w-[560px]" aria-hidden="true">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={rows} margin={{ top: 8, right: 16, bottom: 0, left: 0 }}>
          <CartesianGrid stroke="var(--color-rule)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            scale="time"
            domain={[Math.min(...days), Math.max(...days)]}
            ticks={[...new Set(days)]}
            tickFormatter={(at: number) => formatDay(new Date(at).toISOString().slice(0, 10))}
            stroke="var(--color-soft)"
            fontSize={14}
          />
          <YAxis domain={[0, top]} tickFormatter={tick} stroke="var(--color-soft)" fontSize={14} width={64} />
          {limit === undefined ? null : (
            <ReferenceLine
              y={limit}
              stroke="var(--color-oxide)"
              strokeDasharray="6 5"
              label={{
                value: `limit ${formatText(limit, unit)}`,
                position: "insideBottomRight",
                fill: "var(--color-soft)",
                fontSize: 14,
              }}
            />
          )}
          <Line
            dataKey="value"
            type="linear"
            stroke="var(--color-copper)"
            strokeWidth={2.5}
            dot={{ r: 5, fill: "var(--color-copper)" }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
