import { KitchenLink } from '@/features/kitchen/KitchenProvider';
import { buttonClass } from '@/ui/Button';
import { words } from '@/wording/screens/pages';

export default function NotFound() {
  return (
    <div className="docket mx-auto mt-10 max-w-xl p-6">
      <h1 className="text-2xl">{words.pageNotFound}</h1>
      <p className="mt-2 text-soft">{words.theAddressLeadsToNo}</p>
      <KitchenLink href="/formulas" className={buttonClass('strong', 'table', 'mt-5')}>
        {words.toTheFormulas}
      </KitchenLink>
    </div>
  );
}
