import type { BlockKind } from '@/core/day/blockKind';
import { BLOCK_WORD } from '../../words';

/** What the screen says. */
export const words = {
  inIt: (kinds: readonly BlockKind[]) => kinds.map((kind) => BLOCK_WORD[kind]).join(', '),
  latest: (clock: string) => `The dough bears that it begins as late as ${clock}.`,
  looks: (clocks: string) => `Look at ${clocks}.`,
  begin: 'Begin at',
  startedNow: 'Started now',
  startedAsPlanned: (clock: string) => `Started at ${clock}`,
  doneNow: 'Done now',
  longer: 'Takes 15 minutes more',
  takeBack: 'It was not so',
  pin: 'Pin it here',
  unpin: 'Let it move again',
  close: 'Close',
  benchSays: 'The bench says how far it is.',
} as const;
