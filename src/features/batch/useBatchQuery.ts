'use client';
import { parseAsFloat, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs';
import type { BatchRequest } from '@/core/batch';
import { allLines, divideDough, usableG, type Formula } from '@/core/formula';

const MODES = ['pieces', 'ways', 'factor', 'fixed'] as const;

/** So many of each bread, as it stands in the address: "loaf:1,rolls:12". */
export const writeCounts = (counts: ReadonlyMap<string, number>): string =>
  [...counts].map(([wayId, pieces]) => `${wayId}:${pieces}`).join(',');
export const readCounts = (text: string): Map<string, number> =>
  new Map(
    text.split(',').flatMap((each): [string, number][] => {
      const [wayId, pieces] = each.split(':');
      return wayId && pieces && /^\d{1,4}$/.test(pieces) ? [[wayId, Number(pieces)]] : [];
    }),
  );

/** What the formula itself makes of each. */
const usualCounts = (formula: Formula): Map<string, number> =>
  new Map(
    divideDough(formula.ways ?? [], usableG(formula)).shares.map(({ way, pieces }) => [way.id, pieces]),
  );

/** The question a batch answers, saved in the address: a link to it is a link to that very batch. */
export function useBatchQuery(formula: Formula) {
  const { usualYield } = formula;
  const first = allLines(formula)[0];
  return useQueryStates(
    {
      mode: parseAsStringLiteral(MODES).withDefault(formula.ways ? 'ways' : 'pieces'),
      pieces: parseAsFloat.withDefault(usualYield.pieces),
      each: parseAsFloat.withDefault(usualYield.pieceMassG),
      weighed: parseAsStringLiteral(['dough', 'baked']).withDefault('dough'),
      bakeLoss: parseAsFloat.withDefault(usualYield.bakeLossPercent),
      bowlLoss: parseAsFloat.withDefault(usualYield.bowlLossPercent),
      counts: parseAsString.withDefault(writeCounts(usualCounts(formula))),
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
  const { mode, pieces, each, weighed, bakeLoss, bowlLoss, counts, factor, line, have } = query;
  const piece = { pieceMassG: each, bowlLossPercent: bowlLoss };
  if (mode === 'pieces') return { mode, pieces, weighed, bakeLossPercent: bakeLoss, ...piece };
  if (mode === 'ways') {
    const ways = [...readCounts(counts)].map(([wayId, pieces]) => ({ wayId, pieces }));
    return { mode, ways, ...piece };
  }
  return mode === 'factor' ? { mode, factor, ...piece } : { mode, lineId: line, massG: have, ...piece };
}
