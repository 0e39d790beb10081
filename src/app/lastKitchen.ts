import { cookies } from 'next/headers';
import { KITCHEN_COOKIE } from '@/features/kitchen/place';

/** The kitchen this browser was in last, by its address; nobody has said that it is still there. */
export const lastKitchen = async (): Promise<string | null> =>
  (await cookies()).get(KITCHEN_COOKIE)?.value ?? null;
