import {
  heardScale,
  isTooCoarse,
  isWeighed,
  NOTHING_YET,
  onItG,
  type OnScale,
} from '@/core/instrument/byScale';
import type { InstrumentBoard } from './instrumentBoard';

/** What is weighed. */
export interface Aim {
  readonly toGoG: number;
  readonly toleranceG: number;
}

/** How far it is. */
export interface Watched {
  /** What is on it of what is weighed, g; null: it has not stood still yet. */
  readonly onG: number | null;
  /** Something has been put on. */
  readonly moved: boolean;
  readonly steady: boolean;
  readonly overload: boolean;
  /** Its steps are too large to weigh so little. */
  readonly tooCoarse: boolean;
  /** As much as is meant stands still on it: it is taken in a moment. */
  readonly nearly: boolean;
  /** It is taken. */
  readonly isWeighed: boolean;
}

const UNSEEN: Watched = {
  onG: null,
  moved: false,
  steady: false,
  overload: false,
  tooCoarse: false,
  nearly: false,
  isWeighed: false,
};

/** It has to stand still so long: long enough for another spoon. */
const HOLD_MS = 2000;

/** Watches one scale while one thing is weighed. Null once it is silent: then it is read by eye, as ever. */
export class ScaleWatch {
  private readonly listeners = new Set<() => void>();
  private so: OnScale = NOTHING_YET;
  private seen: Watched | null = null;
  private heardAtMs = -1;
  private holding: ReturnType<typeof setTimeout> | undefined;
  private leave: (() => void) | null = null;

  constructor(
    private readonly board: InstrumentBoard,
    private readonly scaleId: string,
    private readonly aim: Aim,
    private readonly holdMs = HOLD_MS,
  ) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    this.leave ??= this.board.subscribe(this.hear);
    this.hear();
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size > 0) return;
      this.leave?.();
      this.leave = null;
      clearTimeout(this.holding);
      this.holding = undefined;
    };
  };

  read = (): Watched | null => this.seen;

  /** What stands there now is nothing of it. */
  beginHere(): void {
    const shows = this.board.scale(this.scaleId);
    if (!shows) return;
    this.so = { beforeG: shows.valueG, moved: false };
    this.heardAtMs = -1;
    this.hear();
  }

  private tell(seen: Watched | null): void {
    this.seen = seen;
    this.listeners.forEach((listener) => listener());
  }

  private hear = (): void => {
    const shows = this.board.scale(this.scaleId);
    if (!shows) {
      clearTimeout(this.holding);
      this.holding = undefined;
      return this.seen === null ? undefined : this.tell(null);
    }
    if (shows.atMs === this.heardAtMs) return;
    this.heardAtMs = shows.atMs;
    if (shows.overload) {
      clearTimeout(this.holding);
      this.holding = undefined;
      return this.tell({ ...(this.seen ?? UNSEEN), overload: true, nearly: false });
    }
    const { stepG } = shows;
    this.so = heardScale(this.so, shows, stepG);
    const tooCoarse = isTooCoarse(this.aim.toGoG, stepG);
    const nearly = !tooCoarse && isWeighed(this.so, shows, this.aim);
    if (!nearly) {
      clearTimeout(this.holding);
      this.holding = undefined;
    } else
      this.holding ??= setTimeout(() => this.seen && this.tell({ ...this.seen, isWeighed: true }), this.holdMs);
    this.tell({
      onG: onItG(this.so, shows),
      moved: this.so.moved,
      steady: shows.steady,
      overload: false,
      tooCoarse,
      nearly,
      isWeighed: nearly && (this.seen?.isWeighed ?? false),
    });
  };
} // prettier-ignore
