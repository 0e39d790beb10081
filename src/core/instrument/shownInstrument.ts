import type { InstrumentKind } from './instrumentKinds';

/** An instrument and what it shows, or showed last. */
export interface ShownInstrument {
  readonly id: string;
  readonly name: string;
  readonly kind: InstrumentKind;
  /** In what steps a scale shows, g; null: a thermometer. */
  readonly stepG: number | null;
  readonly addedAtMs: number;
  /** Null: it has told nothing yet. */
  readonly last: { readonly atMs: number; readonly value: number; readonly state: string } | null;
}

/** What an instrument shows is what it told last, for so long; then nobody knows, ms. */
const SHOWS_MS = 12_000;

/** What it shows now; null: it has fallen silent, and work goes on without it. */
export const showsNow = ({ last }: ShownInstrument, nowMs: number): ShownInstrument['last'] =>
  last && nowMs - last.atMs <= SHOWS_MS ? last : null;
