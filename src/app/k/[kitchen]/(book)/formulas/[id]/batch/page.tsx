import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { BatchPage } from '@/features/batch/BatchPage';
import { loadFormula } from '@/server/formulas';
import { loadKit } from '@/server/kit';
import { Book } from '../../../../Book';
import { sheetTitle, type SheetParams } from '../(sheet)/sheet';
import { documentPage, type IdParams } from '../../../../documentPage';
import { words } from '@/wording/screens/pages';

export const generateMetadata = (props: SheetParams): Promise<Metadata> => sheetTitle(props, words.batch);

export default function Page(props: IdParams) {
  return documentPage(props, loadFormula, async (loaded, context) => (
    <Book context={context} holds={loaded.formula}>
      <NuqsAdapter>
        <BatchPage key={loaded.revision} loaded={loaded} kit={(await loadKit(context)).kit} />
      </NuqsAdapter>
    </Book>
  ));
}
