import type { InductionCircuit } from "./induction-motor";

/** ⅓ hp, 115 V 60 Hz, four poles, capacitor start with 150 μF: made up. Source: physics. */
export const THIRD_HORSEPOWER: InductionCircuit = {
  hertz: 60,
  poles: 4,
  mainOhms: 1.5,
  mainReactance: 2.1,
  rotorOhms: 2.8,
  rotorReactance: 1.7,
  magnetizingReactance: 50,
  auxiliaryOhms: 6,
  auxiliaryReactance: 2.6,
  turnsRatio: 1.2,
};

/** 120 W, 230 V 50 Hz, four poles, run capacitor of 5 μF: made up. Source: physics. */
export const SMALL_FAN: InductionCircuit = {
  hertz: 50,
  poles: 4,
  mainOhms: 27,
  mainReactance: 26,
  rotorOhms: 30,
  rotorReactance: 20,
  magnetizingReactance: 280,
  auxiliaryOhms: 40,
  auxiliaryReactance: 30,
  turnsRatio: 1.2,
};

/** ¼ hp, 120 V 60 Hz, four poles, split phase: made up. Source: physics. */
export const QUARTER_HORSEPOWER: InductionCircuit = {
  hertz: 60,
  poles: 4,
  mainOhms: 2,
  mainReactance: 2.8,
  rotorOhms: 3.9,
  rotorReactance: 2.2,
  magnetizingReactance: 62,
  auxiliaryOhms: 10.5,
  auxiliaryReactance: 2.6,
  turnsRatio: 0.75,
};
