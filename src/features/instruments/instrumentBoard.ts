import { READS, type ProbeKind } from '@/core/instrument/instrumentKinds';
import { showsNow, type ShownInstrument } from '@/core/instrument/shownInstrument';
import { isFigure, type ReadingState } from '@/core/instrument/readingState';

/** What a scale shows now. */
export interface ScaleNow {
  readonly id: string;
  readonly name: string;
  readonly atMs: number;
  readonly valueG: number;
  readonly steady: boolean;
  readonly overload: boolean;
  /** In what steps it shows, g. */
  readonly stepG: number;
}

/** What a probe shows now. */
export interface ProbeNow {
  readonly id: string;
  readonly name: string;
  readonly of: (typeof READS)[ProbeKind];
  readonly tempC: number;
}

const isProbe = (kind: ShownInstrument['kind']): kind is ProbeKind => kind !== 'scale';

/** What the instruments of a kitchen show, on this page. Whoever feeds it says with which clock. */
export class InstrumentBoard {
  private readonly listeners = new Set<() => void>();
  private known: readonly ShownInstrument[] = [];

  /** @param now by the clock that readings are dated by, ms */
  constructor(private now: () => number = () => Date.now()) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  read = (): readonly ShownInstrument[] => this.known;

  /** @param now the clock they are dated by, where it is known better by now */
  put(instruments: readonly ShownInstrument[], now: () => number = this.now): void {
    this.known = instruments;
    this.now = now;
    this.listeners.forEach((listener) => listener());
  }

  /** What one of them shows now; null: it is silent. */
  shows = (instrument: ShownInstrument): ShownInstrument['last'] => showsNow(instrument, this.now());

  /** The scale that is asked for; null: it is silent, or not there. */
  scale(id: string): ScaleNow | null {
    const found = this.known.find((each) => each.kind === 'scale' && each.id === id);
    const shows = found && this.shows(found);
    if (!found || !shows || shows.state === 'fault') return null;
    const { atMs, value, state } = shows;
    return {
      id,
      name: found.name,
      atMs,
      valueG: value,
      steady: state === 'steady',
      overload: state === 'overload',
      stepG: found.stepG ?? 1,
    };
  }

  /** What the probes say that say something. */
  probes(): readonly ProbeNow[] {
    return this.known.flatMap((each) => {
      const shows = this.shows(each);
      if (!shows || !isProbe(each.kind) || !isFigure(shows.state as ReadingState)) return [];
      return [{ id: each.id, name: each.name, of: READS[each.kind], tempC: shows.value }];
    });
  }
}
