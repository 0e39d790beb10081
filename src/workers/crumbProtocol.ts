import type { CrumbFigures, Mark } from '@/core/photo';
import type { Result } from '@/core/result';

/** A picture to be read, or what is put right in the one that was read last. */
export type CrumbQuestion =
  | { readonly kind: 'read'; readonly id: number; readonly picture: Blob; readonly marks: readonly Mark[] }
  | { readonly kind: 'mend'; readonly id: number; readonly marks: readonly Mark[] };

/** What is hole, point by point, to be drawn over the picture. */
export interface HolesShown {
  readonly width: number;
  readonly height: number;
  readonly at: Uint8Array;
}

export interface CrumbAnswer {
  readonly id: number;
  readonly read: Result<{ readonly figures: CrumbFigures; readonly holes: HolesShown }>;
}
