'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Columns2, PencilLine, TriangleAlert } from 'lucide-react';
import { lookAlikesOf, type Ingredient, type StoredEntry } from '@/core/ingredients';
import { Button, buttonClass } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { useStoredEntries, useNameOf } from '../book/BookProvider';
import { IngredientPicker } from '../formula/IngredientPicker';
import { RoleDot } from '../formula/RoleDot';
import { useNumbers, usePreferences } from '../preferences/PreferencesProvider';
import { FAMILY_WORD, ROLE_WORD } from '@/wording/words';
import { FeltFigure } from './FeltFigure';
import { Lots } from './Lots';
import type { LarderLearnt } from './useLearnt';
import { figuresOf } from './figures';
import { useSaveEntry } from './useSaveEntry';
import { words as figureWords } from '@/wording/screens/larder/figures';
import { words } from '@/wording/screens/larder/IngredientCard';
import { words as worksWords } from '@/wording/screens/larder/WorksDialog';
import { Term } from '../help/Term';

const WorksDialog = dynamic(
  patiently(() => import('./WorksDialog').then((module) => module.WorksDialog)),
  { ssr: false },
);

interface IngredientCardProps {
  ingredient: Ingredient;
  beside: Ingredient | null;
  /** What hands and rise marks taught of all ingredients. */
  learnt: LarderLearnt;
  onBeside: (id: string | null) => void;
  onLook: (id: string) => void;
  onEdit: (ingredient: Ingredient) => void;
}

/** One ingredient with every figure, its doubt and where it comes from; or two, figure beside figure. */
export function IngredientCard({
  ingredient,
  beside,
  learnt: { learnt: allLearnt, jars },
  onBeside,
  onLook,
  onEdit,
}: IngredientCardProps) {
  const { stored } = useStoredEntries();
  const own = stored.find(({ id }) => id === ingredient.id);
  const lot = stored.find(({ id }) => id === ingredient.lot?.id);
  const mine = allLearnt.filter(({ ingredientId }) => ingredientId === ingredient.id);
  const learnt = mine.find(({ lotId }) => lotId === (ingredient.lot?.id ?? null));
  const [tellsRecipe, setTellsRecipe] = useState(false);
  const { save, trouble } = useSaveEntry();
  return (
    <article aria-label={ingredient.name} className="docket min-w-0 rounded-b-md px-4 pt-4 pb-5 sm:px-6">
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <p className="flex items-center gap-2 text-sm text-soft">
            <RoleDot role={ingredient.roles[0]} />
            {FAMILY_WORD[ingredient.family]} · {ingredient.roles.map((role) => ROLE_WORD[role]).join(', ')}
          </p>
          <h2 className="text-2xl">{ingredient.name}</h2>
          {ingredient.alsoCalled.length > 0 && (
            <p className="text-sm text-soft">{words.alsoCalled(ingredient.alsoCalled.join(', '))}</p>
          )}
        </div>
        <CardButtons
          ingredient={ingredient}
          own={own}
          onEdit={onEdit}
          onBeside={onBeside}
          onPutAway={(entry) => void save({ entry: entry.entry, seen: entry.version, away: !entry.away })}
        />
      </div>
      {trouble && (
        <p role="alert" className="mt-2 text-sm text-alarm">
          {trouble}
        </p>
      )}
      {own?.entry.kind === 'bag' && !own.away && !(learnt && own.entry.learntFrom !== undefined) && (
        <p className="mt-2 rounded border border-rule bg-well px-3 py-1.5 text-sm">
          {words.yourBag}
          <strong>{own.entry.bag}</strong>
          {words.itsFiguresCountHere}
        </p>
      )}
      {learnt && (
        <FeltFigure key={ingredient.id} ingredient={ingredient} learnt={learnt} own={own} lot={lot} />
      )}
      <Akin ingredient={ingredient} onBeside={onBeside} onLook={onLook} />
      {ingredient.madeOf && (ingredient.thirstCv !== undefined || ingredient.absorbs) && (
        <Button className="mt-2" onClick={() => setTellsRecipe(true)}>
          {worksWords.aRecipeThatWorks}
        </Button>
      )}
      {(ingredient.absorption || ingredient.madeOf || ingredient.roles.includes('leaven')) && (
        <Lots key={`lots ${ingredient.id}`} ingredient={ingredient} learnt={mine} jars={jars} />
      )}
      {tellsRecipe && (
        <WorksDialog ingredient={ingredient} before={own} onClose={() => setTellsRecipe(false)} />
      )}
      <FigureTable ingredient={ingredient} beside={beside} onApart={() => onBeside(null)} />
      <p className="mt-3 text-xs text-soft">
        {words.holdsFourBagsOfFive(ingredient.source)}
        {beside && beside.source !== ingredient.source && ` ${beside.name}: ${beside.source}`}
      </p>
    </article>
  );
}

/** What it must not be taken for, and what it is made of. */
function Akin({
  ingredient,
  onBeside,
  onLook,
}: Pick<IngredientCardProps, 'ingredient' | 'onBeside' | 'onLook'>) {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  return (
    <>
      {lookAlikesOf(ingredient.id).map(({ otherId, difference }) => (
        <p key={otherId} className="mt-2 flex gap-2 text-sm">
          <TriangleAlert size={16} aria-hidden className="mt-0.5 shrink-0 text-alarm" />
          <span>
            {words.not}
            <button type="button" className="min-h-6 text-link underline" onClick={() => onBeside(otherId)}>
              {nameOf(otherId).toLowerCase()}
            </button>
            : {difference}
          </span>
        </p>
      ))}
      {ingredient.madeOf && (
        <p className="mt-2 text-sm">
          {words.madeOf}
          {ingredient.madeOf.map(({ ingredientId, share }, index) => (
            <span key={ingredientId}>
              {index > 0 && ', '}
              <button
                type="button"
                className="min-h-6 text-link underline"
                onClick={() => onLook(ingredientId)}
              >
                {nameOf(ingredientId).toLowerCase()}
              </button>{' '}
              {numbers.decimal(100 * share, 1)} %
            </span>
          ))}
        </p>
      )}
    </>
  );
}

interface CardButtonsProps extends Pick<IngredientCardProps, 'ingredient' | 'onEdit'> {
  own: StoredEntry | undefined;
  onBeside: (id: string) => void;
  onPutAway: (entry: StoredEntry) => void;
}

const awayWord = ({ entry, away }: StoredEntry): string => {
  if (entry.kind === 'bag') return away ? words.useMyBagAgain : words.useTheLibrarysFigures;
  return away ? words.restore : words.archiveIt;
};

function CardButtons({ ingredient, own, onEdit, onBeside, onPutAway }: CardButtonsProps) {
  return (
    <div className="flex flex-wrap gap-1.5">
      <Button onClick={() => onEdit(ingredient)}>
        <PencilLine size={15} aria-hidden />{' '}
        {own && own.entry.kind !== 'bag' ? words.changeIt : words.myBagOfIt}
      </Button>
      {own && <Button onClick={() => onPutAway(own)}>{awayWord(own)}</Button>}
      <IngredientPicker
        label={words.compareWithAnother(ingredient.name)}
        onPick={({ id }) => onBeside(id)}
        className={buttonClass('plain')}
      >
        <Columns2 size={15} aria-hidden />
        {words.compare}
      </IngredientPicker>
    </div>
  );
}

interface FigureTableProps {
  ingredient: Ingredient;
  beside: Ingredient | null;
  onApart: () => void;
}

function FigureTable({ ingredient, beside, onApart }: FigureTableProps) {
  const { preferences } = usePreferences();
  const figures = figuresOf(ingredient, preferences.temperatureUnit);
  const others = beside
    ? new Map(figuresOf(beside, preferences.temperatureUnit).map((each) => [each.word, each]))
    : null;
  const rows = [
    ...figures.map(({ word }) => word),
    ...[...(others?.keys() ?? [])].filter((word) => !figures.some((each) => each.word === word)),
  ];
  const bar = (share: number | null | undefined) =>
    share == null ? null : (
      <span
        aria-hidden
        className="mt-0.5 block h-1 rounded-full bg-ink/70"
        style={{ width: `${Math.max(1, 100 * share)}%` }}
      />
    );
  return (
    <table className="mt-4 w-full table-fixed text-sm">
      {beside && (
        <thead>
          <tr className="align-bottom">
            <td />
            <th scope="col" className="py-1 text-left">
              {ingredient.name}
            </th>
            <th scope="col" className="py-1 text-left">
              {beside.name}{' '}
              <Button look="quiet" className="px-1 text-xs text-soft" onClick={onApart}>
                {words.remove}
              </Button>
            </th>
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map((word) => {
          const figure = figures.find((each) => each.word === word);
          const other = others?.get(word);
          return (
            <tr key={word} className="border-t border-rule">
              <th scope="row" className="py-1 pr-3 text-left font-normal text-soft">
                {word === figureWords.absorbsGOfWaterPer ? <Term id="absorbs">{word}</Term> : word}
              </th>
              <td className="py-1 pr-4 font-semibold tabular-nums">
                {figure?.text ?? '–'}
                {bar(figure?.share)}
              </td>
              {beside && (
                <td className="py-1 font-semibold tabular-nums">
                  {other?.text ?? '–'}
                  {bar(other?.share)}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
