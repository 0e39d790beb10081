import type { Band } from '../consistency/parameters';
import type { Style } from '../formula/formula';

/** Something the sheet has to say about itself. Worded at the interface (features/wording/notices.ts). */
export type Notice = {
  /** What it is about, 0 (worth knowing) to 100 (this will not be bread); the list is sorted by it. */
  readonly rank: number;
  /** Lines it is about. */
  readonly lineIds: readonly string[];
} & (
  | {
      readonly code: 'bandForStyle';
      readonly band: Band;
      readonly style: Style;
      readonly fits: readonly Band[];
    }
  | { readonly code: 'thickens'; readonly now: Band; readonly rested: Band; readonly restMin: number }
  | { readonly code: 'noBinder' }
  | { readonly code: 'noWater' }
  | { readonly code: 'noSalt' }
  | { readonly code: 'noLeaven' }
  | {
      readonly code: 'twoBinders';
      readonly psylliumPercent: number;
      readonly gumId: string;
      readonly gumPercent: number;
      readonly usualTo: number;
    }
  | {
      readonly code: 'overMost';
      readonly ingredientId: string;
      readonly percent: number;
      readonly most: number;
    }
  | {
      readonly code: 'overUsual';
      readonly ingredientId: string;
      readonly percent: number;
      readonly from: number;
      readonly to: number;
    }
  | {
      readonly code: 'underUsual';
      readonly ingredientId: string;
      readonly percent: number;
      readonly from: number;
      readonly to: number;
    }
  | {
      /** A blend brings binder of its own, and the sheet adds more. */
      readonly code: 'binderInside';
      readonly ingredientId: string;
      readonly binderId: string;
      /** Of the base: what the blend brings, and all there is of that binder. */
      readonly insidePercent: number;
      readonly percent: number;
    }
  | { readonly code: 'mostlyStarch'; readonly percent: number }
  | { readonly code: 'sugarBrakes'; readonly percent: number }
  | { readonly code: 'saltBrakes'; readonly percent: number }
  | { readonly code: 'yeastHigh'; readonly freshPercent: number }
  | { readonly code: 'sodaWithoutAcid' }
  | {
      readonly code: 'lookAlike';
      readonly ingredientId: string;
      readonly otherId: string;
      readonly percent: number;
      readonly difference: string;
    }
  | { readonly code: 'psylliumThirsty'; readonly percent: number; readonly hydrationPercent: number }
  | { readonly code: 'manyFlours'; readonly count: number }
);
