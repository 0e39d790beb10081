import { MethodPlace } from '@/features/formula/MethodPlace';
import { sheetTitle, type SheetParams } from '../sheet';

export const generateMetadata = (props: SheetParams) => sheetTitle(props, 'method');

export default function Page() {
  return <MethodPlace />;
}
