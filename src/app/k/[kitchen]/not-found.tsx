import { KitchenLink } from '@/features/kitchen/KitchenProvider';
import { buttonClass } from '@/ui/Button';

export default function NotFound() {
  return (
    <div className="docket mx-auto mt-10 max-w-xl p-6">
      <h1 className="text-2xl">Nothing lies here</h1>
      <p className="mt-2 text-soft">The address leads to no formula and no bake of this kitchen.</p>
      <KitchenLink href="/formulas" className={buttonClass('strong', 'table', 'mt-5')}>
        To the formulas
      </KitchenLink>
    </div>
  );
}
