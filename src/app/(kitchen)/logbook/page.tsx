import type { Metadata } from 'next';
import { LogbookPage } from '@/features/logbook/LogbookPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { endedBakes, type BakePlace } from '@/server/bakes';
import { currentContext } from '@/server/context';
import { formulaCards } from '@/server/formulas';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'Logbook' };

const PAGE = 40;

interface Props {
  searchParams: Promise<{ formula?: string | string[]; after?: string | string[] }>;
}

const single = (value: string | string[] | undefined): string => (typeof value === 'string' ? value : '');

/** Where a page begins, as it stands in an address: time and id of the bake before it. */
function placeOf(text: string): BakePlace | null {
  const [, ms, rawId = ''] = /^(\d{1,14})\.(.{36})$/.exec(text) ?? [];
  const id = knownId(rawId);
  return ms && id ? { startedAtMs: Number(ms), id } : null;
}

export default async function Page({ searchParams }: Props) {
  const { formula, after } = await searchParams;
  const context = await currentContext();
  const formulaId = knownId(single(formula));
  const [{ bakes, setAside, next }, { cards }] = await Promise.all([
    endedBakes(context, { formulaId, after: placeOf(single(after)), most: PAGE }),
    formulaCards(context),
  ]);
  const older = next
    ? `/logbook?${formulaId ? `formula=${formulaId}&` : ''}after=${next.startedAtMs}.${next.id}`
    : null;
  return (
    <>
      <SetAsideNote setAside={setAside} />
      <LogbookPage
        bakes={bakes}
        formulas={cards.map(({ id, name }) => ({ id, name }))}
        chosen={formulaId}
        older={older}
      />
    </>
  );
}
