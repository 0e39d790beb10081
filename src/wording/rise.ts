import { formatDecimal } from '@/core/units';

/** "+50 %", "doubled": how far a dough has risen, as it is said at the bench. */
export const grownWord = (percent: number): string =>
  percent === 100 ? 'doubled' : `${percent < 0 ? '−' : '+'}${formatDecimal(Math.abs(percent), 0)} %`;

export const RISE_OF_WORD = { jar: 'jar', dough: 'dough' } as const;
