import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { meaningOfPlate, readOf } from "@/core/nameplate/as-typed";
import type { PlateMeaning } from "@/core/nameplate/meaning";
import type { Input, Said } from "./fields";

export interface PlateSense {
  readonly speed: "near" | "exact" | "high" | undefined;
  readonly poles: number | undefined;
  readonly slip: number | undefined;
  readonly said: readonly Said[];
}

const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });

/** Slip below which a speed on a plate is a synchronous one. */
const NO_SLIP = 0.002;
const SLOW = 600;
/** Turns a minute for each hertz above which no induction motor runs: 60, and a plate's rounding. */
const ABOVE_TWO_POLES = 61;

const WATTS: Partial<Readonly<Record<PlateMeaning["code"], Said["code"]>>> = {
  input: "identity/watts-input",
  output: "identity/watts-output",
  "output-low": "identity/watts-output",
  either: "identity/watts-either",
  peak: "identity/watts-peak",
  "more-than-taken-in": "identity/watts-wrong",
  "output-too-high": "identity/watts-wrong",
};

function speedSense(
  speed: number,
  hertz: number,
  meaning: PlateMeaning | undefined,
  highSlip: number,
): PlateSense {
  if (speed > ABOVE_TWO_POLES * hertz)
    return {
      speed: "high",
      poles: undefined,
      slip: undefined,
      said: [say("identity/above", { speed, hertz })],
    };
  const exactPoles = Math.round((120 * hertz) / speed);
  const isExact = exactPoles % 2 === 0 && Math.abs((120 * hertz) / exactPoles / speed - 1) < NO_SLIP;
  if (isExact || speed < SLOW)
    return {
      speed: "exact",
      poles: isExact ? exactPoles : undefined,
      slip: isExact ? 0 : undefined,
      said: [
        isExact ? say("identity/exact", { speed, poles: exactPoles }) : say("identity/no-poles", { speed }),
      ],
    };
  if (meaning?.code !== "poles")
    return {
      speed: undefined,
      poles: undefined,
      slip: undefined,
      said: [say("identity/no-poles", { speed })],
    };
  const { poles = 0, slip = 0, synchronous = 0 } = meaning.figures;
  const code = slip >= highSlip ? "identity/high-slip" : "identity/poles";
  return { speed: "near", poles, slip, said: [say(code, { poles, slip, synchronous, speed })] };
}

/** Plates that name two voltages for two ways of joining the halves: 115/230, never 220-240. */
function twoVoltages(text: string): Said[] {
  const found = /(\d{2,3})\s*\/\s*(\d{3})\s*v/i.exec(text);
  const [low, high] = [Number(found?.[1] ?? 0), Number(found?.[2] ?? 0)];
  return low > 0 && Math.abs(high / low - 2) < 0.15 ? [say("identity/two-voltages", { low, high })] : [];
}

/** What the plate says of poles and slip, of its watts, of its voltages, and of running on other mains. */
export function plateSense({ plate, mains }: Input, limits: Limits): PlateSense {
  const nothing: PlateSense = { speed: undefined, poles: undefined, slip: undefined, said: [] };
  if (!plate) return nothing;
  const { fields, powerIs, understood } = plate;
  const typed = {
    volts: fields.volts ?? "",
    hertz: fields.hertz ?? mains,
    amps: fields.amps ?? "",
    power: fields.power ?? "",
    speed: fields.speed ?? "",
  };
  const meanings = meaningOfPlate({ ...typed, powerIs }, limits);
  const hertz = readOf(typed.hertz, "frequency") ?? Number(mains);
  const speed = readOf(typed.speed, "speed");
  const sense =
    speed === undefined || speed <= 0 || hertz <= 0
      ? nothing
      : speedSense(
          speed,
          hertz,
          meanings.find(({ code }) => code === "poles"),
          limitOf(limits, "identity-high-slip").value,
        );
  const watts = meanings.flatMap(({ code, figures }) => {
    const said = WATTS[code];
    return said ? [say(said, { watts: figures["watts"] ?? 0, taken: figures["taken"] ?? 0 })] : [];
  });
  const isOther = fields.hertz !== undefined && Math.abs(hertz - Number(mains)) > 1;
  const other = isOther
    ? [
        say("identity/other-hertz", {
          plate: hertz,
          mains: Number(mains),
          speed: Number(mains) / hertz,
          flux: hertz / Number(mains),
        }),
      ]
    : [];
  const text = understood.map((piece) => piece.text).join(" ");
  return { ...sense, said: [...sense.said, ...watts, ...twoVoltages(text), ...other] };
}
