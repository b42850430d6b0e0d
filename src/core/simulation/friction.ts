/** What holds a shaft back: torque to break it loose, dry friction, and what grows with speed. N·m, N·m·s, N·m·s². */
export interface Drag {
  readonly breakaway: number;
  readonly dry: number;
  readonly viscous: number;
  readonly square: number;
}

export function addDrags(...drags: readonly Drag[]): Drag {
  const sum = (pick: (one: Drag) => number): number => drags.reduce((total, one) => total + pick(one), 0);
  return {
    breakaway: sum((one) => one.breakaway),
    dry: sum((one) => one.dry),
    viscous: sum((one) => one.viscous),
    square: sum((one) => one.square),
  };
}

/** Torque that a turning shaft meets, N·m. Source: physics (T_c + bω + kω²). */
export function dragTorque({ dry, viscous, square }: Drag, speed: number): number {
  return dry + viscous * speed + square * speed ** 2;
}

/**
 * Time to stand still from a speed, seconds, with nothing driving: J·ω̇ = −(T_c + bω + kω²), in closed form by the sign of
 * 4kT_c − b². Infinite where nothing brakes a slow shaft.
 * @param inertia kg·m²
 * Source: physics.
 */
export function coastDownSeconds(
  inertia: number,
  { dry: c, viscous: b, square: k }: Drag,
  speed: number,
): number {
  if (c <= 0) return Number.POSITIVE_INFINITY;
  if (k === 0) return b === 0 ? (inertia * speed) / c : (inertia / b) * Math.log1p((b * speed) / c);
  const sign = 4 * k * c - b * b;
  if (sign > 0) {
    const root = Math.sqrt(sign);
    return ((2 * inertia) / root) * (Math.atan((2 * k * speed + b) / root) - Math.atan(b / root));
  }
  if (sign === 0) return 2 * inertia * (1 / b - 1 / (2 * k * speed + b));
  const root = Math.sqrt(-sign);
  const at = (w: number): number => Math.log((2 * k * w + b - root) / (2 * k * w + b + root));
  return (inertia / root) * (at(speed) - at(0));
}
