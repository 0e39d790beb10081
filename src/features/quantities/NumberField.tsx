'use client';
import type { Result } from '@/core/result';
import { formatDecimal, parseDecimal, within, type Bounds } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';

interface NumberFieldProps {
  word: string;
  unit: string;
  value: number | null;
  bounds: Bounds;
  places?: number;
  /** The field's name: its ending tells a limit's unit (roomC, bowlG). */
  name?: string;
  /** How it is read and written where that is not a plain number: in the reader's own unit. */
  read?: (text: string) => Result<number>;
  show?: (value: number) => string;
  /** May be left empty: nothing is said then. */
  optional?: boolean;
  onChange: (value: number | null) => void;
}

/** A figure with its word and unit; out of its range it says so and changes nothing. */
export function NumberField({
  word,
  unit,
  value,
  bounds,
  places = 2,
  name = 'value',
  read = parseDecimal,
  show = (shown) => formatDecimal(shown, places),
  optional = false,
  onChange,
}: NumberFieldProps) {
  const { preferences } = usePreferences();
  return (
    <div className="flex items-center justify-between gap-2 border-t border-rule text-sm">
      <span>{word}</span>
      <Cell
        label={word}
        className="w-28"
        unit={unit}
        value={value === null ? '' : show(value)}
        placeholder="–"
        onType={(text) => {
          if (optional && text.trim() === '') {
            onChange(null);
            return null;
          }
          const typed = read(text);
          const checked = typed.ok ? within(typed.value, bounds, name) : typed;
          if (!checked.ok) return wordProblem(checked.problem, preferences);
          onChange(checked.value);
          return null;
        }}
        restore={() => onChange(value)}
      />
    </div>
  );
}
