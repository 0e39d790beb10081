'use client';
import { Plus, Search } from 'lucide-react';
import dynamic from 'next/dynamic';
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs';
import { useMemo, useRef, useState } from 'react';
import { FAMILIES, searchIngredients, type Ingredient } from '@/core/ingredients';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { cx } from '@/ui/cx';
import { Menu } from '@/ui/Menu';
import { patiently } from '@/ui/patiently';
import { useAwake } from '@/ui/useAwake';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useBook, useStoredEntries } from '../book/BookProvider';
import { RoleDot } from '../formula/RoleDot';
import { FAMILY_WORD, ROLE_WORD } from '@/wording/words';
import { IngredientCard } from './IngredientCard';
import { useLearnt } from './useLearnt';
import { words } from '@/wording/screens/larder/LarderPage';

const EntryDialog = dynamic(
  patiently(() => import('./EntryDialog').then((module) => module.EntryDialog)),
  { ssr: false },
);
const BlendDialog = dynamic(
  patiently(() => import('./BlendDialog').then((module) => module.BlendDialog)),
  { ssr: false },
);
const LabelDialog = dynamic(
  patiently(() => import('./LabelDialog').then((module) => module.LabelDialog)),
  { ssr: false },
);

/** What is being written: an ingredient of one's own, a blend, one from its label, or the bag at hand of a known one. */
type Writing =
  | { readonly kind: 'own'; readonly id: string | null }
  | { readonly kind: 'blend'; readonly id: string | null }
  | { readonly kind: 'label' }
  | { readonly kind: 'bag'; readonly id: string };

const absorbsOf = ({ absorption }: Ingredient): number => absorption?.gPerG.value ?? -1;
/** As the book has them, or found best first; by name; what absorbs most first. */
const ORDER = {
  kind: () => 0,
  name: (a: Ingredient, b: Ingredient) => a.name.localeCompare(b.name, 'en'),
  absorbs: (a: Ingredient, b: Ingredient) => absorbsOf(b) - absorbsOf(a),
} as const;

/** What is looked for in the larder, in the address, and what is found. */
function useLarder() {
  const book = useBook();
  const { stored, away } = useStoredEntries();
  const [query, setQuery] = useQueryStates(
    {
      find: parseAsString.withDefault(''),
      of: parseAsStringLiteral(['all', 'mine', ...FAMILIES] as const).withDefault('all'),
      by: parseAsStringLiteral(['kind', 'name', 'absorbs'] as const).withDefault('kind'),
      look: parseAsString,
      beside: parseAsString,
    },
    { history: 'replace', shallow: true },
  );
  const mine = useMemo(
    () => new Set(stored.map(({ id, entry }) => (entry.kind === 'lot' ? entry.of : id))),
    [stored],
  );
  const found = useMemo(
    () =>
      searchIngredients(book, query.find)
        .filter(({ id, family }) =>
          query.of === 'all'
            ? !away.has(id)
            : query.of === 'mine'
              ? mine.has(id)
              : family === query.of && !away.has(id),
        )
        .sort(ORDER[query.by]),
    [away, book, mine, query.by, query.find, query.of],
  );
  const look = (query.look && book.get(query.look)) || found[0] || null;
  return { query, setQuery, found, look, mine, away };
}

/** The larder: everything the product knows of ingredients, searched by any of their names, two of them side by side. */
export function LarderPage() {
  const book = useBook();
  const { stored } = useStoredEntries();
  const shelf = useLarder();
  const { query, setQuery, look } = shelf;
  const learnt = useLearnt();
  const card = useRef<HTMLDivElement>(null);
  const [writing, setWriting] = useState<Writing | null>(null);
  const beside = query.beside && query.beside !== look?.id ? (book.get(query.beside) ?? null) : null;

  const edit = (ingredient: Ingredient) => {
    const entry = stored.find(({ id }) => id === ingredient.id)?.entry;
    if (entry?.kind === 'own' || entry?.kind === 'blend') setWriting({ kind: entry.kind, id: ingredient.id });
    else setWriting({ kind: 'bag', id: ingredient.id });
  };
  const close = (savedId?: string) => {
    setWriting(null);
    if (savedId) void setQuery({ look: savedId });
  };

  return (
    <>
      <div className="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">{words.ingredients}</h1>
        <KitchenLink href="/starters" className="mr-auto ml-2 text-link underline">
          {words.starters}
        </KitchenLink>
        <AddOwn onWrite={setWriting} />
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <LarderList
          shelf={shelf}
          onLook={(id) => {
            void setQuery({ look: id });
            // on a phone the card stands below the list
            if (card.current && card.current.getBoundingClientRect().top > window.innerHeight / 2)
              card.current.scrollIntoView({ block: 'start' });
          }}
        />
        <div ref={card} className="min-w-0 scroll-mt-16">
          {look && (
            <IngredientCard
              ingredient={look}
              beside={beside}
              learnt={learnt}
              onBeside={(id) => void setQuery({ beside: id })}
              onLook={(id) => void setQuery({ look: id, beside: null })}
              onEdit={edit}
            />
          )}
        </div>
      </div>
      {writing && <WritingDialog writing={writing} onClose={close} />}
    </>
  );
}

function AddOwn({ onWrite }: { onWrite: (writing: Writing) => void }) {
  return (
    <Menu
      trigger={
        <Button look="strong" className="min-h-10 px-4">
          <Plus size={18} aria-hidden />
          {words.addYourOwn}
        </Button>
      }
      choices={[
        {
          key: 'blend',
          words: words.aBlendOrStarterFrom,
          onSelect: () => onWrite({ kind: 'blend', id: null }),
        },
        {
          key: 'label',
          words: words.aBoughtBlendFromIts,
          onSelect: () => onWrite({ kind: 'label' }),
        },
        {
          key: 'own',
          words: words.anIngredientFigureByFigure,
          onSelect: () => onWrite({ kind: 'own', id: null }),
        },
      ]}
    />
  );
}

interface LarderListProps {
  shelf: ReturnType<typeof useLarder>;
  onLook: (id: string) => void;
}

function LarderList({ shelf: { query, setQuery, found, look, mine, away }, onLook }: LarderListProps) {
  const awake = useAwake();
  return (
    <section aria-label={words.ingredients} className="docket min-w-0 rounded-b-md">
      <div className="flex items-center gap-2 border-b border-rule px-3 pt-2">
        <Search size={16} aria-hidden className="text-soft" />
        <input
          type="search"
          aria-label={words.searchIngredients}
          readOnly={!awake}
          value={query.find}
          placeholder={words.riceLinseedCornflour}
          onChange={(event) => void setQuery({ find: event.currentTarget.value })}
          className="min-h-11 w-full bg-transparent outline-none focus-visible:outline-none"
        />
      </div>
      <Choice
        label={words.whichOfThem}
        value={query.of}
        options={[
          { value: 'all', label: words.allOfThem },
          { value: 'mine', label: words.mineCount(mine.size) },
          ...FAMILIES.map((family) => ({ value: family, label: FAMILY_WORD[family] })),
        ]}
        onChange={(of) => void setQuery({ of })}
        className="mx-1 my-1 w-[calc(100%-0.5rem)] text-sm text-soft"
      />
      <Choice
        label={words.sortBy}
        value={query.by}
        options={[
          { value: 'kind', label: words.byKind },
          { value: 'name', label: words.byName },
          { value: 'absorbs', label: words.whatAbsorbsMostFirst },
        ]}
        onChange={(by) => void setQuery({ by })}
        className="mx-1 mb-1 w-[calc(100%-0.5rem)] text-sm text-soft"
      />
      <ul className="max-h-[60dvh] overflow-y-auto border-t border-rule p-1 lg:max-h-[calc(100dvh-16rem)]">
        {found.map((ingredient) => (
          <li key={ingredient.id}>
            <button
              type="button"
              aria-current={ingredient.id === look?.id}
              onClick={() => onLook(ingredient.id)}
              className={cx(
                'flex min-h-9 w-full items-center gap-2 rounded px-2 text-left text-sm hover:bg-well',
                ingredient.id === look?.id && 'bg-well font-semibold',
              )}
            >
              <RoleDot role={ingredient.roles[0]} />
              <span className="min-w-0 flex-1">{ingredient.name}</span>
              <span className="text-xs text-soft">
                {away.has(ingredient.id)
                  ? words.archived
                  : mine.has(ingredient.id)
                    ? words.mine
                    : ROLE_WORD[ingredient.roles[0]]}
              </span>
            </button>
          </li>
        ))}
        {found.length === 0 && <li className="p-3 text-sm text-soft">{words.nothingByThatNameTry}</li>}
      </ul>
    </section>
  );
}

interface WritingDialogProps {
  writing: Writing;
  onClose: (savedId?: string) => void;
}

function WritingDialog({ writing, onClose }: WritingDialogProps) {
  switch (writing.kind) {
    case 'own':
    case 'bag':
      return <EntryDialog id={writing.id} bag={writing.kind === 'bag'} onClose={onClose} />;
    case 'blend':
      return <BlendDialog id={writing.id} onClose={onClose} />;
    case 'label':
      return <LabelDialog onClose={onClose} />;
  }
}
