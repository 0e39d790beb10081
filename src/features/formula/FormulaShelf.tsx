'use client';
import { ClipboardPaste, Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useQueryState } from 'nuqs';
import { useEffect, useState } from 'react';
import type { Style } from '@/core/formula';
import type { SliceFigures } from '@/core/slice';
import { Button, buttonClass } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { ask } from '../asking/ask';
import { useKitchenTime } from '../preferences/time';
import { STYLE_WORD, wordPercent } from '../wording/words';

const SlicePicture = dynamic(() => import('../run/SlicePicture').then((module) => module.SlicePicture), {
  ssr: false,
});
const NewFormula = dynamic(() => import('./NewFormula').then((module) => module.NewFormula), { ssr: false });

/** One formula on the shelf, with the figures a dough is known by. Made by the server. */
export interface ShelfCard {
  readonly id: string;
  readonly name: string;
  readonly style: Style;
  readonly archived: boolean;
  readonly hydrationAll: number | null;
  readonly binders: readonly { readonly name: string; readonly percent: number | null }[];
  readonly flours: readonly { readonly name: string; readonly percent: number }[];
  readonly bakes: number;
  readonly lastBakedAtMs: number | null;
}

/** So few pores that a mark stays a mark. */
const MARK_PORES = 70;

function Card({ card, mark }: { card: ShelfCard; mark: SliceFigures | null }) {
  const time = useKitchenTime();
  const flours = card.flours
    .slice(0, 3)
    .map(({ name }) => name.toLowerCase().replace(/ (flour|starch)$/, ''));
  return (
    <li className="docket rounded-b-md">
      <Link href={`/formulas/${card.id}`} className="flex h-full flex-col p-4 hover:bg-well">
        <span className="text-xs text-soft">{STYLE_WORD[card.style]}</span>
        <span className="flex items-start justify-between gap-3">
          <h2 className="mt-0.5 text-lg leading-snug">{card.name}</h2>
          <span aria-hidden className="h-12 w-20 shrink-0">
            {mark && (
              <SlicePicture
                slice={mark}
                mostPores={MARK_PORES}
                label={`The slice to expect of ${card.name}`}
                className="h-full w-full"
              />
            )}
          </span>
        </span>
        <span className="mt-3 flex items-end justify-between gap-3">
          <span>
            <span className="figure block text-4xl">
              {card.hydrationAll === null ? '–' : Math.round(card.hydrationAll)}
              <span className="text-lg"> %</span>
            </span>
            <span className="text-xs text-soft">water, all counted</span>
          </span>
          <span className="text-right text-xs text-soft">
            {card.binders.length === 0
              ? 'no binder'
              : card.binders.map((binder) => (
                  <span key={binder.name} className="block">
                    {binder.name.toLowerCase()} {wordPercent(binder.percent)}
                  </span>
                ))}
          </span>
        </span>
        <span className="mt-3 flex justify-between gap-3 border-t border-rule pt-2 text-xs text-soft">
          <span>{flours.join(', ')}</span>
          <span className="whitespace-nowrap">
            {card.lastBakedAtMs === null
              ? 'not baked yet'
              : `${card.bakes} × · ${time.dayAndYear(card.lastBakedAtMs)}`}
          </span>
        </span>
      </Link>
    </li>
  );
}

/** All formulas, by name; the archive behind a switch that lives in the address. */
export function FormulaShelf({ cards }: { cards: readonly ShelfCard[] }) {
  const [view, setView] = useQueryState('show', { defaultValue: 'kept' });
  const [making, setMaking] = useState(false);
  const [marks, setMarks] = useState<Record<string, SliceFigures | null>>({});
  useEffect(() => {
    let here = true;
    void ask<Record<string, SliceFigures | null>>('/api/formulas/marks').then(
      (answer) => here && answer.kind === 'ok' && setMarks(answer.value),
    );
    return () => {
      here = false;
    };
  }, []);
  const shown = cards.filter((card) => card.archived === (view === 'archive'));
  const archived = cards.filter((card) => card.archived).length;
  return (
    <>
      <div className="mb-5 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Formulas</h1>
        <div className="flex flex-wrap gap-2">
          {archived > 0 && (
            <Segmented
              label="Which formulas"
              value={view === 'archive' ? 'archive' : 'kept'}
              onChange={(next) => void setView(next)}
              options={[
                { value: 'kept', label: 'On the shelf' },
                { value: 'archive', label: `Archive (${archived})` },
              ]}
            />
          )}
          <Link href="/formulas/read" className={buttonClass('plain', 'table', 'min-h-10 px-4')}>
            <ClipboardPaste size={17} aria-hidden /> Read a recipe
          </Link>
          <Button look="strong" className="min-h-10 px-4" onClick={() => setMaking(true)}>
            <Plus size={18} aria-hidden /> New formula
          </Button>
        </div>
      </div>
      {shown.length === 0 ? (
        <p className="docket p-6 text-soft">
          {view === 'archive'
            ? 'The archive is empty.'
            : 'No formulas yet. A formula is flours and starches as the 100 %, a binder, water and salt: start one and type what goes in.'}
        </p>
      ) : (
        <ul className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
          {shown.map((card) => (
            <Card key={card.id} card={card} mark={marks[card.id] ?? null} />
          ))}
        </ul>
      )}
      {making && <NewFormula open={making} onOpenChange={setMaking} />}
    </>
  );
}
