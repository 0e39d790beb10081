'use client';
import { memo } from 'react';
import { FORMULA_LIMITS } from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { parseDecimal, within } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { Segmented } from '@/ui/Segmented';
import { useBook, useNameOf } from '../book/BookProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';
import { Feel } from './Feel';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';
import { MoreAnswers } from './MoreAnswers';
import { Notices } from './Notices';
import { WaterPicture } from './WaterPicture';
import { useFurtherAnswers } from '../sheet/useFurtherAnswers';
import { AnswerRow, Why } from '../sheet/Why';

/** Where a dose lies against what is usual: said in words only when it is outside. */
function usualWords(book: IngredientBook, ingredientId: string, percent: number | null): string {
  const share = book.get(ingredientId)?.usualShare;
  const most = book.get(ingredientId)?.mostShare ?? null;
  if (!share || percent === null) return '';
  const range = `usual ${share.from}–${share.to} %${most === null ? '' : `, at most ${most} %`}`;
  if (most !== null && percent > most) return `above the most that makes sense; ${range}`;
  return percent < share.from || percent > share.to ? `outside the usual; ${range}` : range;
}

/** What the dough is, beyond the answer card: its ruler, its water, what stands behind each figure; and what one looks up, a tap away. */
export const DoughAnswers = memo(function DoughAnswers() {
  const { edit } = useSheetActions();
  const percentBase = useSheetState((state) => state.formula.percentBase);
  const { totals, consistency, notices } = useFurtherAnswers();
  const units = useUnits();
  if (totals.totalG <= 0) return null;
  return (
    <section aria-label="About this dough" className="docket mt-5 rounded-b-md px-4 pt-4 pb-3">
      <Notices notices={notices} />
      <div className="grid gap-x-8 md:grid-cols-2">
        <div>
          {consistency && <Feel consistency={consistency} />}
          <WaterPicture totals={totals} balance={consistency?.balance ?? null} />
        </div>
        <div>
          <Poured />
          <AnswerRow word="Flours and starches, the 100 %" figure={units.mass(totals.baseG)}>
            <Segmented
              label="What counts as 100 %"
              value={percentBase}
              onChange={(percentBase) => edit({ type: 'setPercentBase', percentBase })}
              options={[
                { value: 'flours', label: 'without binders' },
                { value: 'floursAndBinders', label: 'with binders' },
              ]}
              className="mt-1.5"
            />
          </AnswerRow>
          <Salt />
          <Binders />
          <AnswerRow word="Dough" figure={units.mass(totals.doughG)}>
            <UsualYield />
          </AnswerRow>
          <MoreAnswers />
        </div>
      </div>
    </section>
  );
});

function Salt() {
  const numbers = useNumbers();
  const { totals, nutrition } = useFurtherAnswers();
  const book = useBook();
  const units = useUnits();
  return (
    <AnswerRow word="Salt" figure={units.mass(totals.saltG)}>
      <p className="text-sm text-soft">{usualWords(book, 'salt', totals.saltPercent)}</p>
      <Why>
        <p>
          Salt as such, on {units.mass(totals.baseG)}. With the salt inside cheese, olives and the like it
          comes to {numbers.percent(nutrition.perBase100g?.salt ?? null, 2)}.
        </p>
      </Why>
    </AnswerRow>
  );
}

function Poured() {
  const numbers = useNumbers();
  const { totals } = useSheetState((state) => state.answers);
  const units = useUnits();
  return (
    <AnswerRow
      word="Water as poured"
      figure={numbers.percent(totals.hydrationPoured)}
      testId="hydration-poured"
    >
      <Why>
        <p>
          As poured: the weight of every liquid, milk and yoghurt whole, on {units.mass(totals.baseG)} of
          flours.
        </p>
        <p>
          The water on the card is all of it: what is in the liquids, egg, dairy, sweeteners, starters and
          acids. The little water inside flours and binders as sold is not counted.
        </p>
      </Why>
    </AnswerRow>
  );
}

function Binders() {
  const numbers = useNumbers();
  const bindersIn = useSheetState((state) => state.formula.percentBase === 'floursAndBinders');
  const { totals } = useSheetState((state) => state.answers);
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  return (
    <AnswerRow word={bindersIn ? 'Binders, within the 100 %' : 'Binders'}>
      <ul className="text-sm text-soft">
        {totals.binders.map((binder) => (
          <li key={binder.ingredientId}>
            {nameOf(binder.ingredientId)} {numbers.percent(binder.percent)},{' '}
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
  const numbers = useNumbers();
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
        onType={typeYield('pieces', numbers.parse)}
        restore={() => takeBack('yield:pieces')}
        onLeave={settle}
      />
      {usualYield.pieces === 1 ? 'piece of' : 'pieces of'}
      <Cell
        label="Usual weight of a piece"
        className="w-24 border-b border-dotted border-edge"
        unit={units.massUnit}
        value={units.massCell(usualYield.pieceMassG)}
        onType={typeYield('pieceMassG', units.parseMass)}
        restore={() => takeBack('yield:pieceMassG')}
        onLeave={settle}
      />
      losing
      <Cell
        label="Usual bake loss"
        className="w-16 border-b border-dotted border-edge"
        unit="%"
        value={numbers.decimal(usualYield.bakeLossPercent, 1)}
        onType={typeYield('bakeLossPercent', numbers.parse)}
        restore={() => takeBack('yield:bakeLossPercent')}
        onLeave={settle}
      />
      in the oven
    </div>
  );
}
