import type { Starter, StarterEvent } from './starterDocument';

const HOUR = 3_600_000;
/** A Saturday in winter. */
export const MORNING_MS = Date.parse('2026-11-28T08:00:00Z');

type Told = StarterEvent extends infer E ? (E extends unknown ? Omit<E, 'id' | 'atMs'> : never) : never;

/** What happened to a starter, each so many hours after a morning. */
export const told = (...events: readonly (readonly [hours: number, event: Told])[]): StarterEvent[] =>
  events.map(([hours, event], at): StarterEvent => ({
    ...event,
    id: `00000000-0000-4000-8000-${String(at).padStart(12, '0')}`,
    atMs: MORNING_MS + hours * HOUR,
  }));

export const fed = (keptG: number, flourG: number, waterG: number, tempC = 22): Told => ({
  kind: 'fed', keptG, flourG, waterG, rest: 'jar', place: tempC < 10 ? 'fridge' : 'room', tempC,
}); // prettier-ignore

/** A sorghum starter of a made-up kitchen, by a ratio. */
export const starter = (log: readonly StarterEvent[], more: Partial<Starter> = {}): Starter => ({
  id: '7f0d3f0e-2c55-4a0e-9a64-0c2f5b1d8a01',
  name: 'Mildred',
  ingredientId: 'sorghum-starter',
  school: 'ratio',
  keepG: 25,
  flourG: 50,
  waterG: 50,
  everyH: 24,
  begunMs: null,
  log: [...log],
  ...more,
});
