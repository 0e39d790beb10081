'use client';
import type { Result } from '@/core/result';
import { within, type Bounds } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';

interface NumberFieldProps {
  word: string;
  /** Where it is no measure: what stands behind the number. */
  unit?: string;
  measure?: Measure;
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

/** What a number measures, so that it is shown and read in the reader’s unit: cm, mm, m, litres and grams on our side. */
export type Measure = 'length' | 'thick' | 'height' | 'volume' | 'mass';

function useMeasure(measure: Measure | undefined) {
  const units = useUnits();
  switch (measure) {
    case undefined:
      return null;
    case 'length':
      return { unit: units.lengthUnit as string, show: units.lengthNumber, read: units.parseLength };
    case 'thick':
      return { unit: units.thickUnit, show: units.thickNumber, read: units.parseThick };
    case 'height':
      return { unit: units.heightUnit, show: units.heightNumber, read: units.parseHeight };
    case 'volume':
      return { unit: units.volumeUnit, show: units.volumeNumber, read: units.parseVolume };
    case 'mass':
      return { unit: units.massUnit as string, show: units.massCell, read: units.parseMass };
  }
}

/** A figure with its word and unit; out of its range it says so and changes nothing. */
export function NumberField({
  word,
  unit,
  value,
  bounds,
  places = 2,
  name = 'value',
  measure,
  read,
  show,
  optional = false,
  onChange,
}: NumberFieldProps) {
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  const measured = useMeasure(measure);
  const shown = (figure: number) =>
    (show ?? measured?.show ?? ((plain: number) => numbers.decimal(plain, places)))(figure);
  return (
    <div className="flex items-center justify-between gap-2 border-t border-rule text-sm">
      <span>{word}</span>
      <Cell
        label={word}
        className="w-28"
        unit={unit ?? measured?.unit ?? ''}
        value={value === null ? '' : shown(value)}
        placeholder="–"
        onType={(text) => {
          if (optional && text.trim() === '') {
            onChange(null);
            return null;
          }
          const typed = (read ?? measured?.read ?? numbers.parse)(text);
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
