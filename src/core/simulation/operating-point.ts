import { type Drag, dragTorque } from "./friction";

/** Torque of a motor at a speed, N·m at rad/s. */
export type TorqueAt = (speed: number) => number;

const STEPS = 400;

/**
 * Speed at which a motor settles: from `from` it speeds up while it pulls more than the drag takes, and slows down while
 * less. At standstill it has to break the shaft loose first.
 * @param top highest speed that is looked at, rad/s
 * @returns rad/s; 0 where it stands still
 */
export function settledSpeed(torqueAt: TorqueAt, drag: Drag, top: number, from = 0): number {
  if (from === 0 && torqueAt(0) <= drag.breakaway) return 0;
  const net = (speed: number): number => torqueAt(speed) - dragTorque(drag, speed);
  const step = top / STEPS;
  const start = from === 0 ? step / 10 : from;
  const rises = net(start) > 0;
  let [low, high] = [start, start];
  for (let speed = start; speed > 0 && speed <= top; speed += rises ? step : -step) {
    if (net(speed) > 0 !== rises) break;
    if (rises) low = speed;
    else high = speed;
  }
  if (rises) high = Math.min(top, low + step);
  else {
    low = Math.max(0, high - step);
    if (low <= 0) return 0;
  }
  for (let halving = 0; halving < 40; halving += 1) {
    const middle = (low + high) / 2;
    if (net(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
