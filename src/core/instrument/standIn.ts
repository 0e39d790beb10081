import { normalAbove } from '../numeric/draws';
import { seededRandom } from '../numeric/seededRandom';
import type { ProbeKind } from './instrumentKinds';
import type { ReadingState } from './readingState';

/** What an instrument shows. */
export interface Shown {
  readonly value: number;
  readonly state: ReadingState;
}

export interface ScaleMake {
  readonly stepG: number;
  readonly capacityG: number;
  /** How much one figure differs from the next with the same on it, g. */
  readonly noiseG: number;
  /** How far its zero wanders in a minute, g. */
  readonly driftG: number;
}

/** An ordinary kitchen scale: 5 kg in steps of 1 g. */
export const KITCHEN_SCALE: ScaleMake = { stepG: 1, capacityG: 5000, noiseG: 0.25, driftG: 0.15 };

/** The plate swings in so long, s; then it has to look the same for so long. */
const SWINGS_S = 0.35;
const STEADY_S = 0.8;

/** A draw of the ordinary distribution that never runs away. */
const normal = (random: () => number): number => normalAbove(Math.min(0.999, Math.max(0.001, random())));

/** Stands in for a scale: swings, settles, is a little off each time, wanders, and shows no more than it can carry. */
export class ScaleStandIn {
  private readonly random: () => number;
  private plateG = 0;
  private wanderedG = 0;
  private zeroG = 0;
  private shownG = 0;
  private sameS = 0;

  constructor(
    private readonly make: ScaleMake,
    seed: number,
  ) {
    this.random = seededRandom(seed);
  }

  /** Goes on by so long with so much on it. */
  advance(seconds: number, loadG: number): Shown {
    this.plateG += (loadG - this.plateG) * (1 - Math.exp(-seconds / SWINGS_S));
    this.wanderedG += this.make.driftG * Math.sqrt(seconds / 60) * normal(this.random);
    const { stepG } = this.make;
    const figureG = this.plateG + this.wanderedG - this.zeroG + this.make.noiseG * normal(this.random);
    const shownG = Math.round(figureG / stepG) * stepG;
    // one step, as far as tenths can be written in binary
    const near = Math.abs(shownG - this.shownG) < 1.5 * stepG;
    this.sameS = near ? this.sameS + seconds : 0;
    // while it stands still it holds its figure, as scales do
    if (!near || this.sameS < STEADY_S) this.shownG = shownG;
    return this.shown();
  }

  shown(): Shown {
    if (this.plateG > this.make.capacityG) return { value: 0, state: 'overload' };
    return { value: this.shownG, state: this.sameS >= STEADY_S ? 'steady' : 'moving' };
  }

  /** Its button. */
  zero(): void {
    this.zeroG = this.plateG + this.wanderedG;
    this.sameS = 0;
    this.shownG = 0;
  }
}

/** How long a probe takes for most of a change, s, and how far one is off its whole life, °C. Our own figures, of ordinary ones. */
const PROBES: Readonly<Record<ProbeKind, { readonly lagS: number; readonly offC: number }>> = {
  doughProbe: { lagS: 6, offC: 0.4 },
  coreProbe: { lagS: 4, offC: 0.4 },
  oilProbe: { lagS: 3, offC: 0.8 },
  ovenProbe: { lagS: 45, offC: 3 },
  roomProbe: { lagS: 120, offC: 0.3 },
};

/** Stands in for a thermometer: follows what it is in, late, and is a little off, always the same way. */
export class ProbeStandIn {
  private readonly random: () => number;
  private readonly offC: number;
  private readonly lagS: number;
  private tipC: number;

  constructor(kind: ProbeKind, seed: number, startsC: number) {
    this.random = seededRandom(seed);
    this.lagS = PROBES[kind].lagS;
    this.offC = PROBES[kind].offC * normal(this.random);
    this.tipC = startsC;
  }

  /** Goes on by so long in what is so warm. */
  advance(seconds: number, aroundC: number): Shown {
    const wasC = this.tipC;
    this.tipC += (aroundC - this.tipC) * (1 - Math.exp(-seconds / this.lagS));
    const value = Math.round((this.tipC + this.offC + 0.05 * normal(this.random)) * 10) / 10;
    const perS = seconds > 0 ? Math.abs(this.tipC - wasC) / seconds : 0;
    return { value, state: perS < 0.1 ? 'steady' : 'moving' };
  }
}
