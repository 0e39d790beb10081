import type { BatchSheet } from '@/core/batch';
import { formatDurationRange } from '@/core/units';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/paper/laterWords';

/** What is done on the day they are taken out, in a line: "thaw 4 h, bake 18 min at 220 °C". */
export const laterWords = (steps: BatchSheet['steps'], temperature: (tempC: number) => string): string =>
  steps
    .map(({ kind, minS, maxS, tempC }) =>
      [
        STEP_WORD[kind].toLowerCase(),
        minS === null ? '' : formatDurationRange(minS, maxS),
        tempC === null ? '' : words.atHeat(temperature(tempC)),
      ]
        .filter(Boolean)
        .join(' '),
    )
    .join(', ');
