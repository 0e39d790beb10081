'use client';
import { useWatch } from 'react-hook-form';
import { ENTRY_LIMITS as L, PARTS, type Estimate } from '@/core/ingredients';
import { cx } from '@/ui/cx';
import { addsUp, sumOf, type EntryValues } from './entryValues';
import { NUTRIENT_WORD } from '@/wording/nutrients';
import { FormNumber } from './FormNumber';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/larder/PartFigures';

type Part = (typeof PARTS)[number];
type PartName = `figures.per100g.${Part}`;

/** What is typed off a label is right to some 5 %. */
const printed = (figure: number | null): Estimate => ({ value: figure ?? 0, sd: 0.05 * (figure ?? 0) });

/** What 100 g are made of. */
export function PartFigures() {
  const numbers = useNumbers();
  const figures = useWatch<EntryValues, 'figures'>({ name: 'figures' });
  const right = addsUp(figures);
  return (
    <fieldset className="border-b border-rule">
      <legend className="font-semibold">
        {words.in100G}
        <span className={cx('text-sm font-normal', right ? 'text-soft' : 'text-alarm')}>
          {words.togetherG(numbers.decimal(sumOf(figures), 1))}
          {!right && words.mustBe98To102}
        </span>
      </legend>
      {PARTS.map((part) => (
        <FormNumber<EntryValues, PartName>
          key={part}
          name={`figures.per100g.${part}`}
          word={NUTRIENT_WORD[part]}
          unit="g"
          places={1}
          bounds={L.gPer100g}
          from={({ value }) => value}
          to={printed}
        />
      ))}
      <FormNumber<EntryValues>
        name="figures.saltPer100g"
        word={words.saltOfTheAsh}
        unit="g"
        bounds={L.gPer100g}
      />
    </fieldset>
  );
}
