import { redirect } from 'next/navigation';
import { KitchensPage } from '@/features/kitchen/KitchensPage';
import { kitchenPlace } from '@/features/kitchen/place';
import { installation, kitchenContext } from '@/server/kitchenContext';
import { kitchensHere } from '@/server/kitchens';
import { lastKitchen } from '../lastKitchen';

/** Whoever was in a kitchen goes back into it; a newcomer is told what this is. */
export default async function FirstPage() {
  const last = await lastKitchen();
  if (last && (await kitchenContext(last))) redirect(kitchenPlace(last).page('/'));
  return <KitchensPage kitchens={await kitchensHere(installation())} />;
}
