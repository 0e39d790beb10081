'use client';
import { Check, CircleHelp, X } from 'lucide-react';
import { readLineAs, type Answer, type Asking, type IngredientLine } from '@/core/recipe';
import type { Weighed } from '@/core/quantity';
import { measuredAs } from '@/core/quantity/measuredAs';
import { Button, buttonClass, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { cx } from '@/ui/cx';
import { useBook, useNameOf } from '../book/BookProvider';
import { IngredientPicker } from '../formula/IngredientPicker';
import { useStoredKit } from '../kit/KitProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { quantitiesComing } from '../quantities/readQuantity';
import { useWeighing } from '../quantities/useQuantity';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/reading/ReadLine';

const QUESTION: Record<Asking, string> = {
  which: words.whichOneIsMeant,
  unknown: words.whatIsThis,
  gluten: words.thisNamesAGrainWith,
  certified: words.onlyWhenCertifiedGlutenFree,
  howMuch: words.howMuchOfIt,
  disagree: words.itsAmountsDoNotAgree,
  several: words.moreThanOneThingOn,
};

interface ReadLineProps {
  item: IngredientLine & { readonly number: number };
  answer: Answer;
  open: boolean;
  percentOff: { readonly written: number; readonly is: number } | null;
  onAnswer: (answer: Answer) => void;
}

/** What goes on the sheet of a line as it is answered so far. */
function takenFrom(item: IngredientLine, answer: Answer) {
  const refused = item.asks.includes('disagree') || item.asks.includes('several');
  return {
    refused,
    ingredientId: answer.ingredientId ?? item.ingredientId,
    massG: answer.massG ?? (refused ? null : (item.weighed?.massG ?? null)),
  };
}

/** One line of ingredients: what was taken from it, and its question where there is one. */
export function ReadLine({ item, answer, open, percentOff, onAnswer }: ReadLineProps) {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  const units = useUnits();
  const taken = takenFrom(item, answer);
  const { ingredientId, massG } = taken;
  const range =
    answer.massG === undefined && item.weighed && item.weighed.highG - item.weighed.lowG > 0.5
      ? item.weighed
      : null;
  const asked = item.asks.length > 0 || open;

  if (answer.leaveOut) {
    return (
      <li className="flex items-center justify-between gap-3 border-t border-rule py-1.5 text-sm text-soft">
        <span className="line-through">{item.text}</span>
        <Button look="quiet" onClick={() => onAnswer({})}>
          {words.backIn}
        </Button>
      </li>
    );
  }
  return (
    <li
      className={cx('border-t border-rule py-1.5', open && 'bg-alarm-wash px-2')}
      data-testid={`line-${item.number}`}
    >
      <div className="flex items-baseline gap-2">
        {open ? (
          <CircleHelp size={16} aria-label={words.asks} className="shrink-0 self-center text-alarm" />
        ) : (
          <Check size={16} aria-label={words.read} className="shrink-0 self-center text-soft" />
        )}
        <span className="min-w-0 flex-1">
          <strong>{ingredientId ? nameOf(ingredientId) : '?'}</strong>
          <span className="block text-xs text-soft">“{item.text}”</span>
        </span>
        <span className="text-right">
          <span className="figure text-lg">
            {massG === null ? (item.percent === null ? '?' : `${item.percent} %`) : units.mass(massG)}
          </span>
          {range && (
            <span className="block text-xs text-soft">{units.massRange(range.lowG, range.highG)}</span>
          )}
        </span>
        <IconButton label={words.leaveOut(item.text)} onClick={() => onAnswer({ leaveOut: true })}>
          <X size={15} aria-hidden />
        </IconButton>
      </div>
      {percentOff && (
        <p className="text-xs text-alarm">
          {words.itSaysButTheWeights(
            numbers.decimal(percentOff.written, 1),
            numbers.decimal(percentOff.is, 1),
          )}
        </p>
      )}
      {asked && <LineQuestion item={item} answer={answer} open={open} taken={taken} onAnswer={onAnswer} />}
    </li>
  );
}

/** An answer of so much, and how it was measured: a cup that was asked for stays a cup, with its doubt. */
const weighedAs = ({ measured: _, ...answer }: Answer, written: string, weighed: Weighed): Answer => {
  const measured = measuredAs(written, weighed);
  return { ...answer, massG: weighed.massG, ...(measured && { measured }) };
};

interface LineQuestionProps extends Pick<ReadLineProps, 'item' | 'answer' | 'open' | 'onAnswer'> {
  taken: ReturnType<typeof takenFrom>;
}

function LineQuestion({ item, answer, open, taken, onAnswer }: LineQuestionProps) {
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  const own = useStoredKit().kit.measures;
  const readMass = useWeighing(own);
  const { preferences } = usePreferences();
  const { ingredientId, massG, refused } = taken;
  const take = (id: string) => {
    // its cups and eggs can be weighed now that it is known what they are of
    const weighed = readLineAs(item.text, id, book, preferences.measure, own);
    const named = { ...answer, ingredientId: id };
    onAnswer(weighed && !refused ? weighedAs(named, weighed.written, weighed) : named);
  };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-1.5 pl-6">
      {open && (
        <span className="w-full text-sm text-alarm">{item.asks.map((each) => QUESTION[each]).join(' ')}</span>
      )}
      {item.candidates.map((id) => (
        <Button
          key={id}
          look={answer.ingredientId === id ? 'strong' : 'plain'}
          aria-pressed={answer.ingredientId === id}
          onClick={() => take(id)}
        >
          {nameOf(id)}
        </Button>
      ))}
      {!item.ingredientId && (
        <IngredientPicker
          label={words.whatIs(item.text)}
          onPick={(ingredient) => take(ingredient.id)}
          className={buttonClass('plain')}
        >
          {item.candidates.length > 0 ? words.another : words.findIt}
        </IngredientPicker>
      )}
      {item.asks.includes('disagree') &&
        item.readings.map(({ written, weighed }) => (
          <Button
            key={written}
            look={answer.massG === weighed.massG ? 'strong' : 'plain'}
            aria-pressed={answer.massG === weighed.massG}
            onClick={() => onAnswer(weighedAs(answer, written, weighed))}
          >
            {weighed.by === 'mass' ? written : `${written} = ${units.mass(weighed.massG)}`}
          </Button>
        ))}
      {(item.asks.includes('howMuch') ||
        item.asks.includes('several') ||
        (ingredientId && (massG === null || open))) && (
        <Cell
          label={words.weightOf(item.text)}
          className="w-28 border-b border-edge"
          unit={units.massUnit}
          value={answer.massG === undefined ? '' : units.massCell(answer.massG)}
          placeholder={words.weight}
          onType={(text) => {
            const typed = readMass(text, ingredientId ? (book.get(ingredientId) ?? null) : null);
            if (!typed.ok) return wordProblem(typed.problem, preferences);
            if (typed.value.massG < 0.01)
              return wordProblem({ code: 'tooSmall', path: 'massG', params: { min: 0.01 } }, preferences);
            onAnswer(weighedAs(answer, text.trim(), typed.value));
            return null;
          }}
          restore={() => onAnswer(answer)}
          later={quantitiesComing}
        />
      )}
    </div>
  );
}
