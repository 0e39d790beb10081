import type { Metadata } from 'next';
import { LogbookPage } from '@/features/logbook/LogbookPage';
import { endedBakes } from '@/server/bakes';
import { currentContext } from '@/server/context';
import { formulaCards } from '@/server/formulas';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'Logbook' };

const PAGE = 40;

interface Props {
  searchParams: Promise<{ formula?: string | string[]; before?: string | string[] }>;
}

const single = (value: string | string[] | undefined): string => (typeof value === 'string' ? value : '');

export default async function Page({ searchParams }: Props) {
  const { formula, before } = await searchParams;
  const context = await currentContext();
  const formulaId = knownId(single(formula));
  const beforeMs = /^\d{12,14}$/.test(single(before)) ? Number(single(before)) : null;
  const [bakes, cards] = await Promise.all([
    endedBakes(context, { formulaId, beforeMs, most: PAGE + 1 }),
    formulaCards(context),
  ]);
  const shown = bakes.slice(0, PAGE);
  const last = shown.at(-1);
  const older =
    bakes.length > PAGE && last
      ? `/logbook?${formulaId ? `formula=${formulaId}&` : ''}before=${last.startedAtMs}`
      : null;
  return (
    <LogbookPage
      bakes={shown}
      formulas={cards.map(({ id, name }) => ({ id, name }))}
      chosen={formulaId}
      older={older}
    />
  );
}
