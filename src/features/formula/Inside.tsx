'use client';
import { NUTRIENTS, YEAST_KINDS, type Nutrition, type YeastDose } from '@/core/formula';
import { Z80 } from '@/core/numeric';
import { useNameOf } from '../book/BookProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { AnswerRow, Why } from '../sheet/Why';
import { NUTRIENT_WORD } from '@/wording/nutrients';
import { words } from '@/wording/screens/formula/Inside';

const KJ_PER_KCAL = 4.184;

/** Yeast in the three kinds it is sold in, whichever stands on the sheet. */
export function YeastRow({ yeast }: { yeast: YeastDose }) {
  const numbers = useNumbers();
  const units = useUnits();
  const nameOf = useNameOf();
  const range = (low: number, high: number) => (high - low > 0.05 ? ` (${units.massRange(low, high)})` : '');
  return (
    <AnswerRow
      word={words.yeastAsFresh}
      figure={yeast.freshPercent === null ? '–' : `${numbers.decimal(yeast.freshPercent, 1)} %`}
    >
      <ul className="text-xs text-soft" data-testid="yeast">
        {YEAST_KINDS.map((kind) => (
          <li key={kind} className={yeast.kinds.includes(kind) ? 'font-semibold text-ink' : ''}>
            {units.mass(yeast.as[kind].g)} {nameOf(kind).toLowerCase()}
            {range(yeast.as[kind].lowG, yeast.as[kind].highG)}
          </li>
        ))}
      </ul>
    </AnswerRow>
  );
}

/** What is in it: on the flours, where bakers think, and in the baked piece, where eaters do. */
export function Inside({ nutrition }: { nutrition: Nutrition }) {
  const numbers = useNumbers();
  const { perBase100g, perBaked100g, energyKjPerBaked100g, starchSharePercent } = nutrition;
  if (!perBase100g) return null;
  return (
    <div className="border-t border-rule py-2.5">
      <div className="flex items-baseline justify-between gap-3">
        <span className="text-sm">{words.starchesInTheBase}</span>
        <span className="figure text-xl">{numbers.decimal(starchSharePercent ?? 0, 0)} %</span>
      </div>
      <table className="mt-1 w-full text-xs">
        <thead className="text-soft">
          <tr>
            <th scope="col" className="text-left font-normal">
              {words.whatIsInIt}
            </th>
            <th scope="col" className="text-right font-normal">
              {words.ofTheFlours}
            </th>
            <th scope="col" className="text-right font-normal">
              {words.n100GBaked}
            </th>
          </tr>
        </thead>
        <tbody>
          {NUTRIENTS.map((nutrient) => (
            <tr key={nutrient} className="border-t border-rule">
              <th scope="row" className="py-0.5 text-left font-normal">
                {NUTRIENT_WORD[nutrient]}
              </th>
              <td className="text-right tabular-nums">{numbers.decimal(perBase100g[nutrient], 1)} %</td>
              <td className="text-right tabular-nums">
                {numbers.decimal(perBaked100g[nutrient].value, 1)} ±{' '}
                {numbers.decimal(Z80 * perBaked100g[nutrient].sd, 1)} g
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Why
        word={words.aboutKjIn100G(
          Math.round(energyKjPerBaked100g / 10) * 10,
          Math.round(energyKjPerBaked100g / KJ_PER_KCAL / 5) * 5,
        )}
      >
        <p>{words.fromTheTypicalCompositionOf}</p>
      </Why>
    </div>
  );
}
