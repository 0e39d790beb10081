import type { Metadata } from 'next';
import { StoryPage } from '@/features/story/StoryPage';
import { loadFormula, loadStory, STORY_PAGE } from '@/server/formulas';
import { Book } from '../../../../Book';
import { sheetTitle, type SheetParams } from '../(sheet)/sheet';
import { documentPage, type IdParams } from '../../../../documentPage';
import { words } from '@/wording/screens/pages';

export const generateMetadata = (props: SheetParams): Promise<Metadata> => sheetTitle(props, words.history);

export default function Page(props: IdParams) {
  return documentPage(props, loadFormula, async (loaded, context) => {
    const story = await loadStory(context, loaded.id, null);
    return (
      <Book context={context} holds={[loaded.formula, story]}>
        <StoryPage
          // a restored state makes this page another one: its number is its key
          key={loaded.revision}
          formulaId={loaded.id}
          name={loaded.formula.name}
          head={loaded.revision}
          story={story}
          page={STORY_PAGE}
        />
      </Book>
    );
  });
}
