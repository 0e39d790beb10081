'use client';
import type { ReactNode } from 'react';
import { FORMULA_LIMITS } from '@/core/formula';
import type { Result } from '@/core/result';
import { parseDecimal, within, type Bounds } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { useNumbers, usePreferences, type Numbers } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';

const readPercent = (text: string): Result<number> => parseDecimal(text.replace(/\s*%\s*$/, ''));
/** "× 1.5", "x 2", "3". */
export const readTimes =
  (parse: Numbers['parse']) =>
  (text: string): Result<number> =>
    parse(text.replace(/^\s*[×x]\s*/i, ''));

/** A question of the batch with its place for an answer. */
export function Ask({ word, children }: { word: ReactNode; children: ReactNode }) {
  return (
    <div className="mt-3">
      <span className="text-sm font-semibold">{word}</span>
      <div className="mt-1">{children}</div>
    </div>
  );
}

interface AskCellProps {
  word: ReactNode;
  label: string;
  value: number;
  bounds: Bounds;
  /** Name of the figure in the request, for problems about it. */
  path: string;
  read: (text: string) => Result<number>;
  show?: (value: number) => string;
  unit?: string;
  testId?: string;
  inputMode?: 'numeric' | 'decimal';
  later?: () => Promise<unknown> | null;
  onChange: (value: number) => void;
}

/** A question that a number answers; out of its range it says so and changes nothing. */
export function AskCell({ word, value, bounds, path, read, show, onChange, ...cell }: AskCellProps) {
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  const shown = (figure: number) => (show ? show(figure) : numbers.decimal(figure, 1));
  return (
    <Ask word={word}>
      <Cell
        size="bench"
        {...cell}
        value={shown(value)}
        restore={() => onChange(value)}
        onType={(text) => {
          const typed = read(text);
          const checked = typed.ok ? within(typed.value, bounds, path) : typed;
          if (!checked.ok) return wordProblem(checked.problem, preferences);
          onChange(checked.value);
          return null;
        }}
      />
    </Ask>
  );
}

/** A loss in percent, asked for like any other figure. */
export function AskLoss(props: Pick<AskCellProps, 'word' | 'label' | 'path' | 'value' | 'onChange'>) {
  return <AskCell {...props} unit="%" bounds={FORMULA_LIMITS.lossPercent} read={readPercent} />;
}
