import { TimelinePlace } from '@/features/formula/TimelinePlace';
import { sheetTitle, type SheetParams } from '../sheet';

export const generateMetadata = (props: SheetParams) => sheetTitle(props, 'timeline');

export default function Page() {
  return <TimelinePlace />;
}
