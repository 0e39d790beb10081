import { FormulaPlace } from '@/features/formula/FormulaPlace';
import { sheetTitle, type SheetParams } from './sheet';

export const generateMetadata = (props: SheetParams) => sheetTitle(props);

export default function Page() {
  return <FormulaPlace />;
}
