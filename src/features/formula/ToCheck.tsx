'use client';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useFurtherAnswers } from '../sheet/useFurtherAnswers';
import { words } from '@/wording/screens/formula/ToCheck';

/** From this rank on a notice is about a bread that would not come out. */
const GRAVE = 55;

/** How much of what stands on the sheet wants a look before anybody bakes it; the way there. */
export function ToCheck({ formulaId }: { formulaId: string }) {
  const { notices } = useFurtherAnswers();
  const grave = notices.filter(({ rank }) => rank >= GRAVE).length;
  if (grave === 0) return null;
  return (
    <KitchenLink
      href={`/formulas/${formulaId}#worth-checking`}
      className="inline-block min-h-6 text-sm font-semibold text-alarm underline"
    >
      {grave === 1 ? words.oneThingToCheck : words.thingsToCheck(grave)}
    </KitchenLink>
  );
}
