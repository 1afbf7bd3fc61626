/** An invented pan: what lies on it, what is poured onto it, and how finely it tells. */
export interface Pan {
  readonly loadKg: number;
  readonly flowKgS: number;
  readonly stepKg: number;
}

/** It tells so often, ms. */
export const EVERY_MS = 100;
/** It switches itself off when nothing moves for so long, s. */
export const SLEEPS_S = 180;
/** More than this it cannot tell, kg. */
const MOST_KG = 5;
/** Its zero walks by so much of a step in a minute, and its figures flicker by so much of one. */
const DRIFT_STEPS_MIN = 0.4;
const NOISE_STEPS = 0.45;
/** It takes so long to come to rest, s. */
const SETTLES_S = 0.5;

/** A walk that is the same for the same tick, −½…½. */
const noise = (tick: number): number => {
  const x = Math.sin(tick * 12.9898) * 43758.5453;
  return x - Math.floor(x) - 0.5;
};

/** What it says first. */
export const simulatedHello = ({ stepKg }: Pan): string =>
  `H ${(stepKg * 1000).toFixed(1)} g Simulated scale`;

/**
 * What it says a while after it was set going: the same for the same pan and time.
 * @param seconds since then
 */
export function simulatedLine({ loadKg, flowKgS, stepKg }: Pan, seconds: number): string {
  if (flowKgS === 0 && seconds >= SLEEPS_S) return 'OFF';
  const kg = loadKg + flowKgS * seconds;
  if (kg > MOST_KG) return 'OVER';
  const tick = Math.round((seconds * 1000) / EVERY_MS);
  const moving = flowKgS !== 0 || seconds < SETTLES_S;
  const flicker = NOISE_STEPS * noise(tick) + (DRIFT_STEPS_MIN * seconds) / 60;
  const shown = Math.round((kg + stepKg * flicker) / stepKg) * stepKg * 1000;
  return `W ${shown.toFixed(stepKg < 0.001 ? 1 : 0)} g ${moving ? 'M' : 'S'}`;
}
