import { FORMULA_LIMITS } from '../formula/formula';
import { ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { FACTOR_LIMITS } from './factorLimits';
import type { BatchRequest } from './batchRequest';

/**
 * The limits of a batch request, field by field: what the schema holds a request from outside to, for one made here as it is
 * typed. Both take their limits from the same place.
 */
export function checkRequest(request: BatchRequest): Result<BatchRequest> {
  const { pieces, pieceMassG, lossPercent, lineMassG } = FORMULA_LIMITS;
  const checks = [
    within(request.pieceMassG, pieceMassG, 'pieceMassG'),
    within(request.bowlLossPercent, lossPercent, 'bowlLossPercent'),
    ...(request.mode === 'pieces'
      ? [
          within(request.pieces, pieces, 'pieces'),
          within(request.bakeLossPercent, lossPercent, 'bakeLossPercent'),
          Number.isInteger(request.pieces) ? ok(request.pieces) : refuse('notWhole', 'pieces'),
        ]
      : []),
    ...(request.mode === 'factor' ? [within(request.factor, FACTOR_LIMITS, 'factor')] : []),
    ...(request.mode === 'ways'
      ? request.ways.map((each, at) =>
          Number.isInteger(each.pieces)
            ? within(each.pieces, { min: 0, max: pieces.max }, `ways.${at}.pieces`)
            : refuse('notWhole', `ways.${at}.pieces`),
        )
      : []),
    ...(request.mode === 'ways' && request.ways.every((each) => each.pieces === 0)
      ? [refuse('tooSmall', 'ways', { min: 1 })]
      : []),
    ...(request.mode === 'fixed' ? [within(request.massG, lineMassG, 'massG')] : []),
  ];
  const refused = checks.find((check) => !check.ok);
  return refused && !refused.ok ? refused : ok(request);
}
