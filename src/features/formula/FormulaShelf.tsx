'use client';
import { ClipboardPaste, Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState, useTransition } from 'react';
import { STYLES, type Style } from '@/core/formula';
import type { SliceFigures } from '@/core/slice';
import { addressOf } from '@/ui/address';
import { Button, buttonClass } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { FindField } from '@/ui/FindField';
import { Segmented } from '@/ui/Segmented';
import { KitchenLink, useKitchenRouter } from '../kitchen/KitchenProvider';
import { useSlices } from '../run/useSlices';
import { useKitchenTime } from '../preferences/time';
import { STYLE_WORD } from '@/wording/words';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/formula/FormulaShelf';
import { patiently } from '@/ui/patiently';

const SlicePicture = dynamic(
  patiently(() => import('../run/SlicePicture').then((module) => module.SlicePicture)),
  { ssr: false },
);
const NewFormula = dynamic(
  patiently(() => import('./NewFormula').then((module) => module.NewFormula)),
  { ssr: false },
);

/** One formula on the shelf, with the figures a dough is known by. Made by the server. */
interface ShelfCard {
  readonly id: string;
  readonly name: string;
  readonly style: Style;
  readonly hydrationAll: number | null;
  readonly binders: readonly { readonly name: string; readonly percent: number | null }[];
  readonly flours: readonly { readonly name: string; readonly percent: number }[];
  readonly bakes: number;
  readonly lastBakedAtMs: number | null;
}

/** What of the shelf is asked for, as it stands in the address. */
interface ShelfQuery {
  readonly find: string;
  readonly style: Style | null;
  readonly archive: boolean;
  readonly order: 'name' | 'baked';
}

interface FormulaShelfProps {
  cards: readonly ShelfCard[];
  counts: { readonly onShelf: number; readonly archived: number };
  query: ShelfQuery;
  /** Where the next page begins; null on the last. */
  next: string | null;
  /** This is not the first page. */
  further: boolean;
}

/** So few pores that a small picture stays clear. */
const MARK_PORES = 70;

function Card({ card, slice }: { card: ShelfCard; slice: SliceFigures | null }) {
  const numbers = useNumbers();
  const time = useKitchenTime();
  const flours = card.flours.map(({ name }) => name.toLowerCase().replace(/ (flour|starch)$/, ''));
  return (
    <li className="docket rounded-b-md">
      <KitchenLink
        href={`/formulas/${card.id}`}
        prefetch={false}
        className="flex h-full flex-col p-4 hover:bg-well"
      >
        <span className="flex items-center gap-4">
          <span aria-hidden className="h-20 w-28 shrink-0">
            {slice && (
              <SlicePicture
                slice={slice}
                mostPores={MARK_PORES}
                label={words.theSliceToExpectOf(card.name)}
                className="h-full w-full"
              />
            )}
          </span>
          <span className="min-w-0">
            <h2 className="text-xl leading-snug wrap-anywhere">{card.name}</h2>
            <span className="text-sm text-soft">{STYLE_WORD[card.style]}</span>
          </span>
        </span>
        <span className="mt-3 text-sm">
          <strong>{words.of(flours.join(', ') || words.noFlourYet)}</strong>
          {card.hydrationAll !== null && words.water(String(Math.round(card.hydrationAll)))}
          {card.binders.length === 0
            ? words.noBinder
            : card.binders
                .map(({ name, percent }) => `${name.toLowerCase()} ${numbers.percent(percent)}`)
                .join(', ')}
        </span>
        <span className="mt-auto pt-2 text-sm text-soft">
          {card.lastBakedAtMs === null
            ? words.notBakedYet
            : words.bakedSoOften(card.bakes, time.dayAndYear(card.lastBakedAtMs))}
        </span>
      </KitchenLink>
    </li>
  );
}

const STYLE_OPTIONS = [
  { value: '', label: words.everyKind },
  ...STYLES.map((style) => ({ value: style, label: STYLE_WORD[style] })),
];

const ORDER_OPTIONS = [
  { value: 'name', label: words.byName },
  { value: 'baked', label: words.lastBakedFirst },
] as const;

/** The formulas by name, a page at a time; what is looked for, and the archive, live in the address. */
export function FormulaShelf({ cards, counts, query, next, further }: FormulaShelfProps) {
  const router = useKitchenRouter();
  const [searching, start] = useTransition();
  const [making, setMaking] = useState(false);
  const slices = useSlices(cards.map(({ id }) => id));
  const { find, style, archive, order } = query;
  const address = (part: { find?: string; style?: string; show?: string; sort?: string; after?: string }) =>
    addressOf('/formulas', {
      find,
      style,
      show: archive ? 'archive' : null,
      sort: order === 'name' ? null : order,
      ...part,
    });
  const go = (part: Parameters<typeof address>[0]) => start(() => router.replace(address(part)));
  const all = archive ? counts.archived : counts.onShelf;
  return (
    <>
      <div className="mb-5 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-3xl">{words.formulas}</h1>
        {(all > 3 || find !== '' || style !== null || further) && (
          <>
            <FindField
              label={words.searchFormulas(all)}
              value={find}
              onFind={(text) => go({ find: text })}
              className="w-full sm:w-56"
            />
            <Choice
              label={words.whichKind}
              value={style ?? ''}
              onChange={(value) => go({ style: value })}
              options={STYLE_OPTIONS}
              className="min-h-10 border-edge bg-surface px-2"
            />
            <Choice
              label={words.sortBy}
              value={order}
              onChange={(value) => go({ sort: value === 'name' ? '' : value })}
              options={ORDER_OPTIONS}
              className="min-h-10 border-edge bg-surface px-2"
            />
          </>
        )}
        {counts.archived > 0 && (
          <Segmented
            label={words.whichFormulas}
            value={archive ? 'archive' : 'saved'}
            onChange={(value) => go({ show: value === 'archive' ? value : '' })}
            options={[
              { value: 'saved', label: words.onTheShelf },
              { value: 'archive', label: words.archive(counts.archived) },
            ]}
          />
        )}
        <KitchenLink href="/formulas/read" className={buttonClass('plain', 'table', 'min-h-10 px-4')}>
          <ClipboardPaste size={17} aria-hidden />
          {words.importARecipe}
        </KitchenLink>
        <Button look="strong" className="min-h-10 px-4" onClick={() => setMaking(true)}>
          <Plus size={18} aria-hidden />
          {words.newFormula}
        </Button>
      </div>
      {cards.length === 0 ? (
        <p className="docket p-6 text-soft">{emptyWords(query, all, further)}</p>
      ) : (
        <ul className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3" aria-busy={searching}>
          {cards.map((card) => (
            <Card key={card.id} card={card} slice={slices[card.id] ?? null} />
          ))}
        </ul>
      )}
      <p className="mt-5 flex flex-wrap gap-3">
        {further && (
          <KitchenLink href={address({})} className={buttonClass('plain')}>
            {words.backToTheStart}
          </KitchenLink>
        )}
        {next && (
          <KitchenLink href={address({ after: next })} className={buttonClass('plain')}>
            {words.moreFormulas}
          </KitchenLink>
        )}
      </p>
      {making && <NewFormula onClose={() => setMaking(false)} />}
    </>
  );
}

function emptyWords({ archive }: ShelfQuery, all: number, further: boolean): string {
  if (all > 0 || further) return words.noFormulaMatchesThat;
  return archive ? words.theArchiveIsEmpty : words.noFormulasYetAFormula;
}
