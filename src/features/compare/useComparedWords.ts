import type { Compared } from '@/core/bake';
import { formatDuration } from '@/core/units';
import { useNameOf } from '../book/BookProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { OCCASION_WORD, QUESTION_WORDS } from '@/wording/tasting';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/compare/ComparePage';

/** What a line of a comparison is called, and how its values are written. */
export function useComparedWords() {
  const nameOf = useNameOf();
  const numbers = useNumbers();
  const units = useUnits();
  const nameFor = (about: Compared): string => {
    switch (about.of) {
      case 'amount':
        return nameOf(about.ingredientId);
      case 'bag':
        return words.bag(nameOf(about.ingredientId));
      case 'time':
      case 'heat':
        return words[about.of](words.nth(STEP_WORD[about.kind], about.nth));
      case 'outcome':
        return about.score;
      case 'tasted':
        return `${QUESTION_WORDS[about.question].name}, ${OCCASION_WORD[about.occasion]}`;
      default:
        return words[about.of];
    }
  };
  const valueOf = (about: Compared, value: number | string | null): string => {
    if (value === null) return '–';
    if (typeof value === 'string') return value;
    switch (about.of) {
      case 'time':
        return formatDuration(60 * Math.max(1, Math.round(value / 60)));
      case 'heat':
      case 'room':
      case 'dough':
      case 'core':
        return units.temperature(value);
      case 'pieceMass':
        return units.mass(value);
      case 'outcome':
        return String(value);
      case 'tasted':
        return numbers.decimal(value, 1);
      case 'evenness':
      case 'form':
        return numbers.decimal(value, 2);
      case 'porosity':
      case 'tunnel':
      case 'denseLine':
        return numbers.percent(value, 0);
      case 'binder':
      case 'amount':
        return value === 0 ? words.none : numbers.percent(value, value < 10 ? 2 : 1);
      default:
        return numbers.percent(value, 1);
    }
  };
  return { nameFor, valueOf };
}
