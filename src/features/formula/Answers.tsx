'use client';
import dynamic from 'next/dynamic';
import { memo } from 'react';
import { FORMULA_LIMITS } from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { formatDecimal, parseDecimal, within } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { Segmented } from '@/ui/Segmented';
import { useBook, useNameOf } from '../book/BookProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';
import { wordPercent } from '../wording/words';
import { Feel } from './Feel';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';
import { Tools } from './tools/Tools';
import { AnswerRow, Why } from '../sheet/Why';

// drawn by the server like the rest; the code of what stands further down follows after the sheet's own
const Below = dynamic(() => import('./AnswersBelow').then((module) => module.AnswersBelow));
const Notices = dynamic(() => import('./Notices').then((module) => module.Notices));
const WaterPicture = dynamic(() => import('./WaterPicture').then((module) => module.WaterPicture));

/** Where a dose lies against what is usual: said in words only when it is outside. */
function usualWords(book: IngredientBook, ingredientId: string, percent: number | null): string {
  const share = book.get(ingredientId)?.usualShare;
  const most = book.get(ingredientId)?.mostShare ?? null;
  if (!share || percent === null) return '';
  const range = `usual ${share.from}–${share.to} %${most === null ? '' : `, at most ${most} %`}`;
  if (most !== null && percent > most) return `above the most that makes sense; ${range}`;
  return percent < share.from || percent > share.to ? `outside the usual; ${range}` : range;
}

export const Answers = memo(function Answers() {
  const { edit } = useSheetActions();
  const percentBase = useSheetState((state) => state.formula.percentBase);
  const { totals, consistency, notices, nutrition } = useSheetState((state) => state.answers);
  const book = useBook();
  const units = useUnits();

  return (
    <aside aria-label="What this makes" className="docket rounded-b-md px-4 pt-4 pb-3">
      {consistency && <Feel consistency={consistency} />}
      {consistency && <Tools />}
      <Hydration ruled={consistency !== null} />
      <Notices notices={notices} />
      <WaterPicture totals={totals} balance={consistency?.balance ?? null} />

      <div className="mt-3">
        <AnswerRow word="Flours and starches, the 100 %" figure={units.mass(totals.baseG)}>
          <Segmented
            label="What counts as 100 %"
            value={percentBase}
            onChange={(percentBase) => edit({ type: 'setPercentBase', percentBase })}
            options={[
              { value: 'flours', label: 'binders apart' },
              { value: 'floursAndBinders', label: 'binders within' },
            ]}
            className="mt-1.5"
          />
        </AnswerRow>
        <AnswerRow word="Salt" figure={wordPercent(totals.saltPercent, 2)}>
          <p className="text-xs text-soft">{usualWords(book, 'salt', totals.saltPercent)}</p>
          <Why>
            <p>
              {units.mass(totals.saltG)} of salt as such, on {units.mass(totals.baseG)}. With the salt inside
              cheese, olives and the like it comes to {wordPercent(nutrition.perBase100g?.salt ?? null, 2)}.
            </p>
          </Why>
        </AnswerRow>
        <Binders />
        <AnswerRow word="Dough" figure={units.mass(totals.doughG)}>
          <UsualYield />
        </AnswerRow>
      </div>
      {totals.totalG > 0 && <Below />}
    </aside>
  );
});

function Hydration({ ruled }: { ruled: boolean }) {
  const { totals } = useSheetState((state) => state.answers);
  const units = useUnits();
  return (
    <div className={ruled ? 'mt-4 border-t border-rule pt-3' : ''}>
      <p className="text-sm font-semibold">Hydration, all water counted</p>
      <p className="figure mt-1 text-5xl" data-testid="hydration-all">
        {totals.hydrationAll === null ? '–' : formatDecimal(totals.hydrationAll, 1)}
        <span className="ml-1 text-2xl">%</span>
      </p>
      <p className="mt-1 text-sm text-soft">
        as poured{' '}
        <strong className="text-base text-ink" data-testid="hydration-poured">
          {wordPercent(totals.hydrationPoured)}
        </strong>
      </p>
      <Why>
        <p>
          All water: what is in the liquids, egg, dairy, sweeteners, starters and acids, on{' '}
          {units.mass(totals.baseG)} of flours. The little water inside flours and binders as sold is not
          counted.
        </p>
        <p>As poured: the weight of every liquid poured, milk and yoghurt whole, on the same flours.</p>
      </Why>
    </div>
  );
}

function Binders() {
  const bindersIn = useSheetState((state) => state.formula.percentBase === 'floursAndBinders');
  const { totals } = useSheetState((state) => state.answers);
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  return (
    <AnswerRow
      word={bindersIn ? 'Binders, within the 100 %' : 'Binders'}
      figure={wordPercent(totals.binderPercent)}
    >
      <ul className="text-xs text-soft">
        {totals.binders.map((binder) => (
          <li key={binder.ingredientId}>
            {nameOf(binder.ingredientId)} {wordPercent(binder.percent)},{' '}
            {usualWords(book, binder.ingredientId, binder.percent)}
          </li>
        ))}
        {totals.binders.length === 0 && totals.baseG > 0 && <li>None: expect a crumb that crumbles.</li>}
      </ul>
      <Why>
        <p>
          Psyllium, gums, gelatine and gels, blends taken apart, on {units.mass(totals.baseG)}. Egg binds too,
          but not by a dose; its grip is in the figure above.
        </p>
      </Why>
    </AnswerRow>
  );
}

const YIELD_LIMITS = {
  pieces: FORMULA_LIMITS.pieces,
  pieceMassG: FORMULA_LIMITS.pieceMassG,
  bakeLossPercent: FORMULA_LIMITS.lossPercent,
} as const;

/** What is usually made of it: a sentence with three places to type in. */
function UsualYield() {
  const { edit, settle, takeBack } = useSheetActions();
  const usualYield = useSheetState((state) => state.formula.usualYield);
  const units = useUnits();
  const { preferences } = usePreferences();
  const typeYield =
    (field: keyof typeof YIELD_LIMITS, read: (text: string) => ReturnType<typeof parseDecimal>) =>
    (text: string) => {
      const typed = read(text);
      const value = typed.ok ? within(typed.value, YIELD_LIMITS[field], field) : typed;
      if (!value.ok) return wordProblem(value.problem, preferences);
      if (field === 'pieces' && !Number.isInteger(value.value))
        return wordProblem({ code: 'notWhole', path: field }, preferences);
      const problem = edit(
        { type: 'setYield', usualYield: { ...usualYield, [field]: value.value } },
        `yield:${field}`,
      );
      return problem && wordProblem(problem, preferences);
    };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-1 text-sm text-soft">
      usually
      <Cell
        label="Usual number of pieces"
        className="w-14 border-b border-dotted border-edge"
        value={String(usualYield.pieces)}
        onType={typeYield('pieces', parseDecimal)}
        restore={() => takeBack('yield:pieces')}
        onLeave={settle}
      />
      {usualYield.pieces === 1 ? 'piece of' : 'pieces of'}
      <Cell
        label="Usual weight of a piece"
        className="w-24 border-b border-dotted border-edge"
        unit={units.massUnit}
        value={units.massNumber(usualYield.pieceMassG)}
        onType={typeYield('pieceMassG', units.parseMass)}
        restore={() => takeBack('yield:pieceMassG')}
        onLeave={settle}
      />
      losing
      <Cell
        label="Usual bake loss"
        className="w-16 border-b border-dotted border-edge"
        unit="%"
        value={formatDecimal(usualYield.bakeLossPercent, 1)}
        onType={typeYield('bakeLossPercent', parseDecimal)}
        restore={() => takeBack('yield:bakeLossPercent')}
        onLeave={settle}
      />
      in the oven
    </div>
  );
}
