import { NotesPlace } from '@/features/formula/NotesPlace';
import { sheetTitle, type SheetParams } from '../sheet';

export const generateMetadata = (props: SheetParams) => sheetTitle(props, 'notes');

export default function Page() {
  return <NotesPlace />;
}
