import type { Shape } from '../method/heating';

/** Proportions where nothing is measured: usual tins are 2.2 times as long as wide; a hearth loaf stands 0.42 of its width high. */
export const USUAL = { tinLengthOverWidth: 2.2, tinHeightOverWidth: 0.95, hearthHeightOverWidth: 0.42, baguetteCm: 34, rollHeightOverWidth: 0.55, roundHeightOverWidth: 0.45, ringHole: 0.3, discThickM: 0.009, flatThickM: 0.006 } as const; // prettier-ignore

/** How long the middle of a ring's tube goes round, m: from how far it is across, else as rings usually are. */
export function ringLengthM(volumeM3: number, acrossM: number | null): number {
  const usual = Math.cbrt((4 * volumeM3 * (Math.PI * (1 + USUAL.ringHole)) ** 2) / Math.PI);
  if (acrossM === null) return usual;
  let long = usual;
  // π (across - 2 r), r from the volume: a few rounds settle it
  for (let round = 0; round < 20; round += 1) {
    const radius = Math.sqrt(volumeM3 / (Math.PI * long));
    long = (long + Math.PI * Math.max(0.4 * acrossM, acrossM - 2 * radius)) / 2;
  }
  return long;
}

/** How wide a piece that stands free is, from its usual proportions, m. */
export function roundUsualM(shape: Shape, volumeM3: number): number {
  const ratio =
    shape === 'hearth'
      ? USUAL.hearthHeightOverWidth
      : shape === 'round'
        ? USUAL.roundHeightOverWidth
        : USUAL.rollHeightOverWidth;
  return Math.cbrt((4 * volumeM3) / (Math.PI * ratio));
}

/** A small flat is thin, a tray's worth of dough is spread a finger high. */
export function flatOf(
  { shape, massG }: { readonly shape: Shape; readonly massG: number },
  volumeM3: number,
  acrossM: number | null,
) {
  const flatM = USUAL.flatThickM * (massG / 80) ** 0.7;
  const usual = shape === 'disc' ? USUAL.discThickM : Math.min(0.028, Math.max(0.003, flatM));
  const across = acrossM ?? Math.sqrt((4 * volumeM3) / (Math.PI * usual));
  const area = (Math.PI / 4) * across * across;
  return { area, height: volumeM3 / area, across };
}
