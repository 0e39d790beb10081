import type { ProbeKind } from '@/core/instrument/instrumentKinds';
import type { ShownInstrument } from '@/core/instrument/shownInstrument';
import { ProbeStandIn, ScaleStandIn, type ScaleMake, type Shown } from '@/core/instrument/standIn';
import { FAULT, type PracticeDay } from '@/core/practice/faults';
import { InstrumentBoard } from '../instruments/instrumentBoard';
import type { PracticeClock } from './practiceClock';

/** Fine enough for yeast, strong enough for the dough. */
const PRACTICE_SCALE: ScaleMake = { stepG: 0.1, capacityG: 6000, noiseG: 0.03, driftG: 0.02 };
const BOWL_G = 640;
const PROBES = ['doughProbe', 'coreProbe', 'oilProbe', 'ovenProbe', 'roomProbe'] as const;

/** What each probe is in, °C; null: it lies in its drawer. */
export type Around = Readonly<Record<ProbeKind, number | null>>;

/** What is poured now. */
export interface Pouring {
  readonly lineId: string;
  readonly toGoG: number;
}

const IN_DRAWER: Around = {
  doughProbe: null,
  coreProbe: null,
  oilProbe: null,
  ovenProbe: null,
  roomProbe: null,
};
const POURS_IN_S = 4;
const LEAST_POUR_G = 2;
/** Of a line that is poured wrong: worth a wrong hand. */
const WRONG_FROM_G = 40;

/** The instruments of a kitchen that is only practised, and the hand that pours. The scale goes by the hand's own time, whatever the clock does. */
export class PracticeKitchen {
  readonly board: InstrumentBoard;
  private readonly scale: ScaleStandIn;
  private readonly probes = new Map<ProbeKind, ProbeStandIn>();
  private loadG = BOWL_G;
  private pours: Pouring | null = null;
  private wrongDone = false;
  private around: (nowMs: number) => Around = () => IN_DRAWER;

  constructor(
    readonly clock: PracticeClock,
    private readonly day: PracticeDay,
    private readonly names: Readonly<Record<'scale' | ProbeKind, string>>,
    private readonly realNow: () => number = () => Date.now(),
  ) {
    this.board = new InstrumentBoard(realNow);
    this.scale = new ScaleStandIn(PRACTICE_SCALE, day.seed);
  }

  /** Goes on by so long of the hand's time. */
  tick(seconds: number): void {
    if (this.pours) this.loadG += (seconds * Math.max(LEAST_POUR_G, this.pours.toGoG)) / POURS_IN_S;
    this.clock.tick();
    const around = this.around(this.clock.now());
    const shown = (kind: ShownInstrument['kind'], { value, state }: Shown): ShownInstrument => ({
      id: kind,
      name: this.names[kind],
      kind,
      stepG: kind === 'scale' ? PRACTICE_SCALE.stepG : null,
      addedAtMs: 0,
      last: { atMs: this.realNow(), value, state },
    });
    this.board.put([
      shown('scale', this.scale.advance(seconds, this.loadG)),
      ...PROBES.flatMap((kind) => {
        const aroundC = around[kind];
        if (aroundC === null) {
          this.probes.delete(kind);
          return [];
        }
        const probe = this.probes.get(kind) ?? new ProbeStandIn(kind, this.day.seed + kind.length, around.roomProbe ?? 21);
        this.probes.set(kind, probe);
        return [shown(kind, probe.advance(seconds * this.clock.speed(), aroundC))];
      }),
    ]);
  }

  /** What the probes are in from now on. */
  stands(around: (nowMs: number) => Around): void {
    this.around = around;
  }

  pour(pouring: Pouring): void {
    this.pours = pouring;
  }

  /** The hand stops; once, where it is to go wrong, too late. */
  stop(): void {
    const { pours } = this;
    this.pours = null;
    const isWrong = this.day.faults.includes('wrongWeight') && !this.wrongDone && pours && pours.toGoG >= WRONG_FROM_G;
    if (!isWrong) return;
    this.wrongDone = true;
    this.loadG += FAULT.tooMuch * pours.toGoG;
  }

  /** A spoon more, or less. */
  spoon(massG: number): void {
    this.loadG = Math.max(BOWL_G, this.loadG + massG);
  }
} // prettier-ignore
