'use client';
import type { Formula } from '@/core/formula';
import { colourOf } from '@/core/heat';
import { heatOven, type Kit } from '@/core/kit';
import type { IngredientBook } from '@/core/ingredients';
import { bakedAsOf, hasYeast, type RunForecast, type WhatIf } from '@/core/run';
import { buttonClass } from '@/ui/Button';
import { useUnits, type Units } from '../preferences/PreferencesProvider';
import { COLOUR_WORD, honestTime, PLATE_WORD, TIN_WORD } from '@/wording/run';
import { words } from '@/wording/screens/run/WhatIfs';

export interface Supposed {
  readonly id: string;
  readonly word: string;
  readonly what: WhatIf;
}

/** Questions worth putting beside this run. */
export function supposables(
  formula: Formula,
  kit: Kit,
  ovenId: string,
  units: Pick<Units, 'temperature' | 'height' | 'degrees'>,
  book: IngredientBook,
): Supposed[] {
  const cool = kit.roomC <= 20 ? kit.roomC - 3 : 19;
  const as = bakedAsOf(formula);
  const otherTin = as.tin === 'dark' ? 'shiny' : 'dark';
  const flat = as.shape === 'disc' || as.shape === 'flatbread';
  const bakes = formula.steps.some((step) => step.kind === 'bake');
  const list: (Supposed | null)[] = [
    { id: 'cool', word: words.at(units.temperature(cool)), what: { type: 'room', tempC: cool } },
    { id: 'warm', word: words.at(units.temperature(28)), what: { type: 'room', tempC: 28 } },
    hasYeast(formula, book)
      ? { id: 'half', word: words.halfTheYeast, what: { type: 'yeast', factor: 0.5 } }
      : null,
    hasYeast(formula, book)
      ? { id: 'twice', word: words.twiceTheYeast, what: { type: 'yeast', factor: 2 } }
      : null,
    { id: 'small', word: words.twoSmallInsteadOfOne, what: { type: 'pieces', factor: 2 } },
    { id: 'big', word: words.halfAsBigAgain, what: { type: 'pieces', factor: 1 / 1.5 } },
    as.shape === 'tin'
      ? { id: 'tin', word: words.inA(TIN_WORD[otherTin]), what: { type: 'tin', tin: otherTin } }
      : null,
    as.shape !== 'tin' && bakes
      ? { id: 'steel', word: words.on(PLATE_WORD.steel), what: { type: 'plate', on: 'steel' } }
      : null,
    flat && as.lengthCm !== null
      ? { id: 'thick', word: words.halfAsThickAgain, what: { type: 'thicker', factor: 1.5 } }
      : null,
    { id: 'high', word: words.at(units.height(1800)), what: { type: 'altitude', altitudeM: 1800 } },
    {
      id: 'hotter',
      word: words.ovenHotterThanIThink(units.degrees(15)),
      what: { type: 'offset', byC: 15 },
    },
    ...kit.ovens
      .filter((oven) => oven.id !== ovenId)
      .slice(0, 3)
      .map((oven): Supposed => ({
        id: `oven-${oven.id}`,
        word: `in: ${oven.name}`,
        what: { type: 'oven', oven: heatOven(oven, kit.roomC) },
      })),
  ];
  return list.filter((each) => each !== null);
}

const shift = (from: number | null, to: number | null): string | null => {
  if (from === null || to === null) return null;
  const by = to - from;
  if (Math.abs(by) < 30) return words.theSame;
  return by > 0 ? words.later(honestTime(by)) : words.sooner(honestTime(-by));
};

/** The colour it has then, where that is another. */
const otherColour = (from: number, to: number): string | null =>
  colourOf(from) === colourOf(to) ? null : COLOUR_WORD[colourOf(to)];

interface WhatIfsProps {
  list: readonly Supposed[];
  chosen: string | null;
  onChoose: (id: string | null) => void;
  before: RunForecast | null;
  after: RunForecast | null;
  computing: boolean;
}

/** One supposition at a time, dotted in the picture, and what it moves. */
export function WhatIfs({ list, chosen, onChoose, before, after, computing }: WhatIfsProps) {
  const units = useUnits();
  const rows: [string, string | null][] =
    before && after
      ? [
          [
            words.readyToBake,
            shift(before.rise.wantedAtS.value, after.rise.wantedAtS.value) ??
              (after.rise.wantedAtS.value === null ? words.notInThisTime : null),
          ],
          [
            'set',
            before.bake && after.bake
              ? (shift(before.bake.set.value, after.bake.set.value) ?? words.notInThisTime)
              : null,
          ],
          ['cut', before.bake && after.bake ? shift(before.bake.cut.value, after.bake.cut.value) : null],
          [
            'base',
            before.bake && after.bake
              ? otherColour(before.bake.brownBase.value, after.bake.brownBase.value)
              : null,
          ],
          [
            words.middleAtTheEnd,
            after.bake ? units.temperature(Math.round(after.bake.coreAtEndC.value)) : null,
          ],
        ]
      : [];
  return (
    <div className="mt-3">
      <p className="text-sm font-semibold" id="what-if">
        {words.whatIf}
      </p>
      <div role="group" aria-labelledby="what-if" className="mt-1 flex flex-wrap gap-1.5">
        {list.map(({ id, word }) => (
          <button
            key={id}
            type="button"
            aria-pressed={chosen === id}
            onClick={() => onChoose(chosen === id ? null : id)}
            className={buttonClass(chosen === id ? 'strong' : 'plain', 'table', 'px-2.5')}
          >
            {word}
          </button>
        ))}
      </div>
      {chosen && (
        <p role="status" className="mt-2 min-h-6 text-sm" data-testid="what-if">
          {computing || !after
            ? words.calculating
            : rows
                .filter(([, change]) => change !== null)
                .map(([word, change]) => `${word} ${change}`)
                .join(' · ')}
        </p>
      )}
    </div>
  );
}
