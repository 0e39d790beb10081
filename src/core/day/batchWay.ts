import type { BatchSheet } from '../batch';
import type { DoughFeed } from '../starter/feedFor';

/** A way a batch can be made, with its sheet. */
export interface BatchWay {
  /** `leverId` of how it is made. */
  readonly id: string;
  readonly tasteCost: number;
  readonly sheet: BatchSheet;
  /** How its starter is fed for it; absent: it takes none that is kept. */
  readonly feed?: DoughFeed;
}
