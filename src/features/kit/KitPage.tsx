'use client';
import type { Kit, KitchenDetails } from '@/core/kit';
import dynamic from 'next/dynamic';
import { KitCard } from './KitCard';
import { RoomsCard } from './RoomsCard';
import { KitOvens } from './KitOvens';
import { KitPlates } from './KitPlates';
import { KitMeasures } from './KitMeasures';
import { KitNotes } from './KitNotes';
import { KitPlaces } from './KitPlaces';
import { KitScales } from './KitScales';
import { KitTins } from './KitTins';
import { KitVessels } from './KitVessels';
import { useKit, type KitSave } from './useKit';
import { words } from '@/wording/screens/kit/KitPage';
import { patiently } from '@/ui/patiently';

const SAVE_WORDS: Record<KitSave, string> = {
  saved: words.saved,
  saving: words.saving,
  unreachable: words.theServerDoesNotAnswer,
  stale: words.somebodyChangedTheEquipment,
  refused: words.theServerCouldNotTake,
};

/** Fetched when the page stands: a form and its package, for what is changed once a year. */
const DetailsCard = dynamic(
  patiently(() => import('./DetailsCard').then((module) => module.DetailsCard)),
  {
    ssr: false,
    loading: () => (
      <KitCard title={words.nameAndPlace}>
        <div className="min-h-80" />
      </KitCard>
    ),
  },
);

const KitInstruments = dynamic(
  patiently(() => import('./KitInstruments').then((module) => module.KitInstruments)),
  { ssr: false },
);
const KitDevices = dynamic(
  patiently(() => import('./KitDevices').then((module) => module.KitDevices)),
  { ssr: false },
);

interface KitPageProps {
  stored: { readonly version: number; readonly kit: Kit };
  details: KitchenDetails;
  /** By name, for whoever weighs a cup of one. */
  ingredients: readonly { readonly id: string; readonly name: string }[];
}

/** What the kitchen has, and how it is: measured once, computed with everywhere. */
export function KitPage({ stored, details, ingredients }: KitPageProps) {
  const { kit, change: put, save } = useKit(stored);
  const change = (part: Partial<Kit>) => put({ ...kit, ...part });
  const well = save === 'saved' || save === 'saving';
  return (
    <>
      <div className="mb-4 flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl sm:text-3xl">{words.equipment}</h1>
        <p className="text-sm text-soft">{words.whatThisKitchenHasAnd}</p>
        <p
          role="status"
          data-testid="kit-save"
          data-state={save}
          className={well ? 'ml-auto text-sm text-soft' : 'ml-auto text-sm font-semibold text-alarm'}
        >
          {SAVE_WORDS[save]}
        </p>
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <div className="space-y-5">
          <DetailsCard details={details} />
          <RoomsCard kit={kit} change={change} />
          <KitScales scales={kit.scales} onChange={(scales) => change({ scales })} />
          <KitTins kit={kit} change={change} />
          <KitVessels kit={kit} change={change} />
          <KitMeasures kit={kit} change={change} ingredients={ingredients} />
          <KitNotes kit={kit} change={change} />
        </div>
        <div className="space-y-5">
          <KitOvens kit={kit} change={change} />
          <KitPlates kit={kit} change={change} />
          <KitPlaces kit={kit} change={change} />
          <KitInstruments />
          <KitDevices />
        </div>
      </div>
    </>
  );
}
