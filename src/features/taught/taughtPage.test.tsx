import { act, screen } from '@testing-library/react';
import { show } from '../testKitchen';
import { TaughtPage, type Taught } from './TaughtPage';

const refresh = jest.fn();
const router = { refresh };
jest.mock('next/navigation', () => ({ useRouter: () => router }));

const NOTHING: Taught = { powders: [], jars: [], formulas: [], slices: [], ovens: [], measures: [] };
const cup = {
  measure: 'cup',
  ingredientId: 'rice-flour',
  before: { g: 140, lowG: 110, highG: 170 },
  now: { g: 135, lowG: 131, highG: 139 },
  weighings: 3,
};
const row = { formulaId: 'f', name: 'Tin', bakeIds: ['b'] };

test('while it is computed the page says so and asks again; then it says what was learnt of cuts, before and after, and of what it is not', () => {
  jest.useFakeTimers();
  try {
    const { unmount } = show(<TaughtPage taught={null} />);
    expect(screen.getByRole('status')).toHaveTextContent('gone through');
    act(() => void jest.advanceTimersByTime(9000));
    expect(refresh).toHaveBeenCalledTimes(2);
    const learning = {
      learnt: { form: -0.16, pores: 0, seen: 0, evenness: 0, denseLine: 0 },
      form: { value: 0.85, low: 0.8, high: 0.9 },
      bakes: 4,
      missBefore: 0.18,
      miss: 0.06,
    };
    unmount();
    show(<TaughtPage taught={{ ...NOTHING, slices: [{ ...row, learning }, { ...row, formulaId: 'g', name: 'Ring', learning: null }], measures: [{ ...cup, name: 'Rice flour' }, { ...cup, measure: 'mug', ingredientId: null, name: null, before: null }] }} />);
    act(() => void jest.advanceTimersByTime(9000));
    expect(refresh).toHaveBeenCalledTimes(2);
    expect(screen.getByRole('row', { name: /Tin/ })).toHaveTextContent('× 0.85 as high (0.80 to 0.90)18 % → 6 %4 cuts read');
    expect(screen.getByRole('row', { name: /Ring/ })).toHaveTextContent('left out of learning');
    expect(screen.getByRole('row', { name: /My cup of Rice flour/ })).toHaveTextContent(/140 g \(110.*170 g\)135 g \(131.*139 g\)weighed 3 times/);
    expect(screen.getByRole('row', { name: /My mug of water/ })).toHaveTextContent('no book knows it');
  } finally {
    jest.useRealTimers();
  }
}); // prettier-ignore
