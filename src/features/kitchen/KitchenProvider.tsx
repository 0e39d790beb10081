'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { createContext, useContext, useEffect, useMemo, type ComponentProps, type ReactNode } from 'react';
import type { Eater } from '@/core/eaters';
import type { DeviceMay } from '@/core/network/pairedDevice';
import { KITCHEN_COOKIE, kitchenPlace, type KitchenPlace } from './place';

const Context = createContext<KitchenPlace | null>(null);
const NOBODY: readonly Eater[] = [];
const EatersContext = createContext(NOBODY);
const NO_NAMES: readonly string[] = [];
const PeopleContext = createContext(NO_NAMES);
const MayContext = createContext<DeviceMay>('all');

/** Says which kitchen the pages below are in. */
export function KitchenProvider({
  address,
  eaters = NOBODY,
  people = NO_NAMES,
  may = 'all',
  children,
}: {
  address: string;
  eaters?: readonly Eater[];
  people?: readonly string[];
  /** What this device may do here. */
  may?: DeviceMay;
  children: ReactNode;
}) {
  const place = useMemo(() => kitchenPlace(address), [address]);
  useEffect(() => {
    document.cookie = `${KITCHEN_COOKIE}=${address};path=/;max-age=31536000;samesite=strict`;
  }, [address]);
  return (
    <Context value={place}>
      <EatersContext value={eaters}>
        <PeopleContext value={people}>
          <MayContext value={may}>{children}</MayContext>
        </PeopleContext>
      </EatersContext>
    </Context>
  );
}

/** The kitchen this page is in. There is no other way to one: two tabs in two kitchens never cross. */
export function useKitchen(): KitchenPlace {
  const place = useContext(Context);
  if (!place) throw new Error('useKitchen needs a KitchenProvider above it');
  return place;
}

/** Who is baked for here. */
export const useEaters = (): readonly Eater[] => useContext(EatersContext);

/** Who bakes here, by name. */
export const usePeople = (): readonly string[] => useContext(PeopleContext);

/** What this device may do here: what it may not is not offered, or said. */
export const useMay = (): DeviceMay => useContext(MayContext);

/** A link to a page of this kitchen. */
export function KitchenLink({ href, ...rest }: Omit<ComponentProps<typeof Link>, 'href'> & { href: string }) {
  return <Link href={useKitchen().page(href)} {...rest} />;
}

/** Goes to pages of this kitchen. */
export function useKitchenRouter() {
  const router = useRouter();
  const { page } = useKitchen();
  return useMemo(
    () => ({
      push: (path: string) => router.push(page(path)),
      refresh: () => router.refresh(),
      /** The same page with something else asked of it: the eye stays where it is. */
      replace: (path: string) => router.replace(page(path), { scroll: false }),
    }),
    [router, page],
  );
}
