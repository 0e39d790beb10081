'use client';
import type { SignId } from '@/core/diagnosis';
import type { QuestionId } from '@/core/tasting';
import { BAND_WORD } from '@/wording/bands';
import { SIGN_WORD } from '@/wording/diagnosis';
import { OCCASION_WORD, QUESTION_WORDS } from '@/wording/tasting';
import { BAND_ENDS, BANDS } from '@/core/consistency';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';

/** Names and values of signs, on the scales a baker knows. */
export function useSignWords() {
  const numbers = useNumbers();
  const units = useUnits();
  const ratio = (ln: number) => {
    const percent = 100 * Math.expm1(ln);
    return `${percent < 0 ? '−' : '+'}${numbers.decimal(Math.abs(percent), 0)} %`;
  };
  return {
    name: (sign: SignId): string => {
      const [about, what = ''] = sign.split('.');
      if (about === 'fresh') return QUESTION_WORDS[what as QuestionId].name;
      if (about === 'nextDay') return `${QUESTION_WORDS[what as QuestionId].name}, ${OCCASION_WORD.nextDay}`;
      return SIGN_WORD[sign] ?? SIGN_WORD[about ?? ''] ?? sign;
    },
    value: (sign: SignId, value: number): string => {
      const [about] = sign.split('.');
      if (about === 'fresh' || about === 'nextDay') return numbers.decimal(value, 1);
      if (about === 'made') return ratio(value);
      if (about === 'mark') return `${numbers.decimal(100 * (Math.exp(value) - 0.05), 0)} %`;
      switch (sign) {
        case 'read.core':
        case 'read.doughC':
          return units.temperature(value);
        case 'read.ovenC':
          return `${value < 0 ? '−' : '+'}${numbers.decimal(Math.abs(value * units.degreesPerC), 0)}°`;
        case 'read.lost':
          return `${numbers.decimal(100 * Math.exp(value), 1)} %`;
        case 'read.feel':
          return BAND_WORD[BANDS.find((band) => Math.exp(value) < BAND_ENDS[band]) ?? 'pourable'].short;
        case 'photo.porosity':
          return `${numbers.decimal(Math.exp(value), 0)} %`;
        case 'photo.heightToWidth':
          return numbers.decimal(Math.exp(value), 2);
        case 'photo.tunnel':
        case 'photo.denseLine':
          return `${numbers.decimal(value, 0)} %`;
        default:
          return numbers.decimal(value, 2);
      }
    },
  };
}
