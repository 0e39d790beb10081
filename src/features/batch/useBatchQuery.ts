'use client';
import { parseAsFloat, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs';
import type { BatchRequest } from '@/core/batch';
import { allLines, type Formula } from '@/core/formula';

const MODES = ['pieces', 'factor', 'fixed'] as const;

/** The question a batch answers, saved in the address: a link to it is a link to that very batch. */
export function useBatchQuery(formula: Formula) {
  const { usualYield } = formula;
  const first = allLines(formula)[0];
  return useQueryStates(
    {
      mode: parseAsStringLiteral(MODES).withDefault('pieces'),
      pieces: parseAsFloat.withDefault(usualYield.pieces),
      each: parseAsFloat.withDefault(usualYield.pieceMassG),
      weighed: parseAsStringLiteral(['dough', 'baked']).withDefault('dough'),
      bakeLoss: parseAsFloat.withDefault(usualYield.bakeLossPercent),
      bowlLoss: parseAsFloat.withDefault(usualYield.bowlLossPercent),
      factor: parseAsFloat.withDefault(1),
      line: parseAsString.withDefault(first?.id ?? ''),
      have: parseAsFloat.withDefault(first?.massG ?? 1),
    },
    { history: 'replace', shallow: true },
  );
}

export type BatchQuery = ReturnType<typeof useBatchQuery>[0];

/** The query as the request it stands for; its limits are checked where the batch is planned. */
export function requestOf(query: BatchQuery): BatchRequest {
  const { mode, pieces, each, weighed, bakeLoss, bowlLoss, factor, line, have } = query;
  const piece = { pieceMassG: each, bowlLossPercent: bowlLoss };
  if (mode === 'pieces') return { mode, pieces, weighed, bakeLossPercent: bakeLoss, ...piece };
  return mode === 'factor' ? { mode, factor, ...piece } : { mode, lineId: line, massG: have, ...piece };
}
