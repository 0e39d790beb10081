import type { Metadata } from 'next';
import { STYLES } from '@/core/formula';
import { FormulaShelf } from '@/features/formula/FormulaShelf';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { knownId } from '@/server/knownId';
import { loadShelf, type ShelfPlace } from '@/server/shelf';
import { single, wordsOf, type Query } from '../addresses';
import { kitchenOf, type KitchenParams } from '../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.formulas };

const PAGE = 30;

/** Where a page of the shelf begins, as it stands in an address: id and name of the formula before it. */
function placeOf(text: string): ShelfPlace | null {
  const id = knownId(text.slice(0, 36));
  return id && text[36] === '.' ? { id, name: text.slice(37, 200) } : null;
}

export default async function FormulasPage({
  params,
  searchParams,
}: KitchenParams & { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const find = single(query.find).slice(0, 80);
  const style = STYLES.find((each) => each === single(query.style)) ?? null;
  const archive = single(query.show) === 'archive';
  const after = placeOf(single(query.after));
  const filter = { words: wordsOf(find), style, archived: archive, after, most: PAGE };
  const { cards, setAside, next, counts } = await loadShelf(await kitchenOf(params), filter);
  return (
    <>
      <SetAsideNote setAside={setAside} />
      <FormulaShelf
        cards={cards}
        counts={counts}
        query={{ find, style, archive }}
        next={next && `${next.id}.${next.name}`}
        further={after !== null}
      />
    </>
  );
}
