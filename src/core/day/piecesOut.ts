import type { BatchRequest } from '../batch';

/** How many pieces are taken out of what was put by; 0: none. */
export const piecesOut = ({
  batch,
  takenOut,
}: {
  readonly batch: BatchRequest;
  readonly takenOut?: { readonly wayId: string } | undefined;
}): number =>
  batch.mode === 'ways' ? (batch.ways.find(({ wayId }) => wayId === takenOut?.wayId)?.pieces ?? 0) : 0;
