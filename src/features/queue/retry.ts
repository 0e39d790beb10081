/** How long after the first, second ... failure it is tried again. One policy for everything that waits. */
const AGAIN_MS = [500, 1000, 2000, 4000, 8000];

export const againAfterMs = (failures: number): number =>
  AGAIN_MS[Math.min(failures, AGAIN_MS.length - 1)] ?? 8000;
