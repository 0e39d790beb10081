'use client';
import { memo } from 'react';
import { doughLines, FORMULA_LIMITS } from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { parseDecimal, within } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { Segmented } from '@/ui/Segmented';
import { useBook, useNameOf } from '../book/BookProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { Feel } from './Feel';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';
import { MoreAnswers } from './MoreAnswers';
import { Notices } from './Notices';
import { WaterPicture } from './WaterPicture';
import { useFurtherAnswers } from '../sheet/useFurtherAnswers';
import { AnswerRow, Why } from '../sheet/Why';
import { words } from '@/wording/screens/formula/DoughAnswers';
import { Term } from '../help/Term';

/** Where a dose lies against what is usual: said in words only when it is outside. */
function usualWords(book: IngredientBook, ingredientId: string, percent: number | null): string {
  const share = book.get(ingredientId)?.usualShare;
  const most = book.get(ingredientId)?.mostShare ?? null;
  if (!share || percent === null) return '';
  const range = words.usual(share.from, share.to, most === null ? '' : words.atMost(most));
  if (most !== null && percent > most) return words.aboveTheMostThatMakes(range);
  return percent < share.from || percent > share.to ? words.outsideTheUsual(range) : range;
}

/** What the dough is, beyond the answer card: its ruler, its water, what stands behind each figure; and what one looks up, a tap away. */
export const DoughAnswers = memo(function DoughAnswers() {
  const { edit } = useSheetActions();
  const percentBase = useSheetState((state) => state.formula.percentBase);
  const stages = useSheetState((state) => state.formula.stages);
  const book = useBook();
  // a mixture that is weighed as one: only then is it a choice
  const hasBag = doughLines({ stages }).some((line) => {
    const whole = book.get(line.ingredientId);
    return whole !== undefined && (whole.thirstCv !== undefined || whole.absorbs !== undefined);
  });
  const { totals, consistency, notices } = useFurtherAnswers();
  const units = useUnits();
  if (totals.totalG <= 0) return null;
  return (
    <section aria-label={words.aboutThisDough} className="docket mt-5 rounded-b-md px-4 pt-4 pb-3">
      <Notices notices={notices} base={percentBase} />
      <div className="grid gap-x-8 md:grid-cols-2">
        <div>
          {consistency && <Feel consistency={consistency} />}
          <WaterPicture totals={totals} balance={consistency?.balance ?? null} />
        </div>
        <div>
          <Poured />
          <AnswerRow
            word={<Term id="bakersPercentage">{words.floursAndStarchesThe100}</Term>}
            figure={units.mass(totals.baseG)}
          >
            <Segmented
              label={words.whatCountsAs100}
              value={percentBase}
              onChange={(percentBase) => edit({ type: 'setPercentBase', percentBase })}
              options={[
                { value: 'flours', label: words.withoutBinders },
                { value: 'floursAndBinders', label: words.withBinders },
                ...(hasBag || percentBase === 'bagAsBought'
                  ? [{ value: 'bagAsBought' as const, label: words.bagAsBought }]
                  : []),
              ]}
              className="mt-1.5"
            />
          </AnswerRow>
          <Salt />
          <Binders />
          <AnswerRow word={words.dough} figure={units.mass(totals.doughG)}>
            <UsualYield />
          </AnswerRow>
          <details className="border-t border-rule" data-testid="more-answers">
            <summary className="flex min-h-11 items-center font-semibold underline decoration-dotted underline-offset-4">
              {words.yeastInOtherKinds}
            </summary>
            <MoreAnswers />
          </details>
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
    <AnswerRow word={words.salt} figure={units.mass(totals.saltG)}>
      <p className="text-sm text-soft">{usualWords(book, 'salt', totals.saltPercent)}</p>
      <Why>
        <p>
          {words.saltAsSuchOnWith(
            units.mass(totals.baseG),
            numbers.percent(nutrition.perBase100g?.salt ?? null, 2),
          )}
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
      word={<Term id="hydration">{words.waterAsPoured}</Term>}
      figure={numbers.percent(totals.hydrationPoured)}
      testId="hydration-poured"
    >
      <Why>
        <p>{words.asPouredTheWeightOf(units.mass(totals.baseG))}</p>
        <p>{words.theWaterOnTheCard}</p>
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
    <AnswerRow word={bindersIn ? words.bindersWithinThe100 : words.binders}>
      <ul className="text-sm text-soft">
        {totals.binders.map((binder) => (
          <li key={binder.ingredientId}>
            {nameOf(binder.ingredientId)} {numbers.percent(binder.percent)},{' '}
            {usualWords(book, binder.ingredientId, binder.percent)}
          </li>
        ))}
        {totals.binders.length === 0 && totals.baseG > 0 && <li>{words.noneExpectACrumbThat}</li>}
      </ul>
      <Why>
        <p>{words.psylliumGumsGelatineAndGels(units.mass(totals.baseG))}</p>
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
      {words.usually}
      <Cell
        label={words.usualNumberOfPieces}
        className="w-14 border-b border-dotted border-edge"
        value={String(usualYield.pieces)}
        onType={typeYield('pieces', numbers.parse)}
        restore={() => takeBack('yield:pieces')}
        onLeave={settle}
      />
      {usualYield.pieces === 1 ? words.pieceOf : words.piecesOf}
      <Cell
        label={words.usualWeightOfAPiece}
        className="w-24 border-b border-dotted border-edge"
        unit={units.massUnit}
        value={units.massCell(usualYield.pieceMassG)}
        onType={typeYield('pieceMassG', units.parseMass)}
        restore={() => takeBack('yield:pieceMassG')}
        onLeave={settle}
      />
      {words.losing}
      <Cell
        label={words.usualBakeLoss}
        className="w-16 border-b border-dotted border-edge"
        unit="%"
        value={numbers.decimal(usualYield.bakeLossPercent, 1)}
        onType={typeYield('bakeLossPercent', numbers.parse)}
        restore={() => takeBack('yield:bakeLossPercent')}
        onLeave={settle}
      />
      {words.inTheOven}
    </div>
  );
}
