import type { Metadata } from 'next';
import { STYLES } from '@/core/formula';
import { FormulaShelf } from '@/features/formula/FormulaShelf';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { knownId } from '@/server/knownId';
import { loadShelf, type ShelfOrder, type ShelfPlace } from '@/server/shelf';
import { wordsOf } from '@/server/wordsOf';
import { single, type Query } from '../addresses';
import { kitchenOf, type KitchenParams } from '../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.formulas };

const PAGE = 30;

/** Where a page of the shelf begins, as it stands in an address: of the formula before it the id, and its name or when it was baked last. */
function placeOf(text: string, order: ShelfOrder): ShelfPlace | null {
  const id = knownId(text.slice(0, 36));
  const rest = text.slice(37, 200);
  if (!id || text[36] !== '.') return null;
  if (order === 'name') return { id, name: rest, lastBakedAtMs: 0 };
  return /^\d{1,14}$/.test(rest) ? { id, name: '', lastBakedAtMs: Number(rest) } : null;
}

export default async function FormulasPage({
  params,
  searchParams,
}: KitchenParams & { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const find = single(query.find).slice(0, 80);
  const style = STYLES.find((each) => each === single(query.style)) ?? null;
  const archive = single(query.show) === 'archive';
  const order = single(query.sort) === 'baked' ? 'baked' : 'name';
  const after = placeOf(single(query.after), order);
  const filter = { words: wordsOf(find), style, archived: archive, order, after, most: PAGE } as const;
  const { cards, setAside, next, counts } = await loadShelf(await kitchenOf(params), filter);
  return (
    <>
      <SetAsideNote setAside={setAside} />
      <FormulaShelf
        cards={cards}
        counts={counts}
        query={{ find, style, archive, order }}
        next={next && `${next.id}.${order === 'name' ? next.name : next.lastBakedAtMs}`}
        further={after !== null}
      />
    </>
  );
}
