import type { Metadata } from 'next';
import { LadderPage } from '@/features/ladder/LadderPage';
import { loadFormula } from '@/server/formulas';
import { loadKit } from '@/server/kit';
import { Book } from '../../../../Book';
import { documentPage, type IdParams } from '../../../../documentPage';
import { sheetTitle, type SheetParams } from '../(sheet)/sheet';
import { words } from '@/wording/screens/pages';

export const generateMetadata = (props: SheetParams): Promise<Metadata> => sheetTitle(props, words.ladder);

export default function Page(props: IdParams) {
  return documentPage(props, loadFormula, async (loaded, context) => (
    <Book context={context} holds={loaded.formula}>
      <LadderPage key={loaded.revision} loaded={loaded} kit={(await loadKit(context)).kit} />
    </Book>
  ));
}
