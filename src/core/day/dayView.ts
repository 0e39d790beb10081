import type { Plate } from '../heat/parameters';
import type { BlockKind } from './blockKind';
import type { DayBatchDocument, DayDocument } from './dayDocument';
import type { StarterShort } from './fedWays';
import type { Lever } from './levers';
import type { DayNeeds } from './needs';
import type { FromJar } from './starterTaken';
import type { Score } from './score';
import type { Softens } from './softens';
import type { Surer } from './surer';

/** One step in a block of the day, with when it begins. */
interface BlockStep {
  readonly id: string;
  readonly kind: BlockKind;
  readonly title: string;
  readonly tempC: number | null;
  readonly startMs: number;
  readonly endMs: number;
}

/** A block where it lies on the clock. */
export interface BlockView {
  readonly id: string;
  readonly strandId: string;
  readonly kind: BlockKind;
  readonly steps: readonly BlockStep[];
  readonly startMs: number;
  readonly endMs: number;
  readonly ovenId: string | null;
  readonly setC: number | null;
  /** When somebody is busy with it. */
  readonly hands: readonly { readonly fromMs: number; readonly toMs: number }[];
  readonly load: { readonly at: number; readonly of: number } | null;
  readonly wayId: string | null;
  readonly state: 'todo' | 'running' | 'done';
  readonly pinned: boolean;
  /** It may begin as late as this before the dough suffers; null: as late as one likes. */
  readonly latestMs: number | null;
  /** Of a rise: when to look whether it is there. */
  readonly looksMs: readonly number[];
  /** Of a feed: how much of what. */
  readonly feed?: NonNullable<DayBatchDocument['at'][string]['feed']>;
}

/** What would help, on the clock; `chance`: how often the promise is kept by it, 0 to 1. */
export type WayOutView =
  | { readonly kind: 'later'; readonly readyMs: number }
  | { readonly kind: 'hands'; readonly spans: readonly Span[] }
  | { readonly kind: 'without'; readonly batchId: string }
  | { readonly kind: 'otherLater'; readonly batchId: string; readonly readyMs: number }
  | { readonly kind: 'lever'; readonly variantId: string; readonly lever: Lever; readonly tasteCost: number; readonly startMs: number; readonly chance: number }
  | { readonly kind: 'oven'; readonly ovenId: string; readonly chance: number }
  | { readonly kind: 'pinAt'; readonly blockId: string; readonly step: BlockKind; readonly startMs: number }
  | { readonly kind: 'unpin' }; // prettier-ignore

export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

export interface CollisionView {
  readonly lateMs: number | null;
  readonly cause: { readonly kind: 'time' | 'others' | 'pin' } | { readonly kind: 'batch'; readonly batchId: string } | { readonly kind: 'hands'; readonly spans: readonly Span[] };
  readonly waysOut: readonly WayOutView[];
} // prettier-ignore

export interface BatchView {
  readonly id: string;
  readonly variantId: string;
  readonly lever: Lever;
  readonly blocks: readonly BlockView[];
  /** When all of it is ready; null: it has no place. */
  readonly readyMs: number | null;
  readonly likely: { readonly fromMs: number; readonly toMs: number; readonly chance: number } | null;
  readonly collision: CollisionView | null;
  /** Planned sooner it would be in time more often; told with the last plan. */
  readonly surer: Surer | null;
  /** The starter it wants cannot be promised. */
  readonly short: StarterShort | null;
  /** What is ripe in the jar goes into it. */
  readonly fromJar: FromJar | null;
  /** What comes out of the fridge for it in time; told with the last plan. */
  readonly softens: Softens | null;
}

export interface OvenView {
  readonly id: string;
  /** Each time it is lit. */
  readonly lit: readonly { readonly atMs: number; readonly setC: number; readonly plate: Plate | null }[];
  readonly points: readonly { readonly ms: number; readonly tempC: number }[];
}

/** What lies elsewhere than it was to. */
export interface Change {
  readonly batchId: string;
  readonly blockId: string;
  readonly kind: BlockKind;
  readonly byMs: number;
}

/** All is cleaned down: after wheat (no allergen is named), or before a batch that is without something. */
export type CleanDown = NonNullable<DayDocument['cleans']>[number];

/** A day laid out. */
export interface DayView {
  readonly nowMs: number;
  readonly fromMs: number;
  readonly untilMs: number;
  readonly batches: readonly BatchView[];
  /** Batches that are left out: their formula cannot be read, or their batch cannot be weighed. */
  readonly leftOut: readonly string[];
  readonly ovens: readonly OvenView[];
  readonly hands: readonly (Span & { readonly people: number; readonly unwanted: boolean })[];
  readonly score: Score;
  /** No plan does better: told at the very last. */
  readonly bound: Score | null;
  readonly rounds: number;
  /** What the day had elsewhere before, the first first. */
  readonly changes: readonly Change[];
  /** What the batches that have not begun need, told with the last. */
  readonly needs: DayNeeds | null;
  /** Nothing is looked for any more; chances and collisions are told. */
  readonly final: boolean;
  /** When all is cleaned down, the first first; told with the last. */
  readonly cleans: readonly CleanDown[];
}
