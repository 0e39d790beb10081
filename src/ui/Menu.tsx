'use client';
import { cloneElement, lazy, Suspense, useState, type ReactElement } from 'react';
import type { MenuChoice } from './menuChoice';

interface MenuProps {
  trigger: ReactElement<{ onClick?: () => void; onPointerEnter?: () => void }>;
  choices: readonly MenuChoice[];
  /** Lays the choices out in two columns, for a long list of short words. */
  columns?: boolean;
}

export const loadMenu = () => import('./OpenMenu');
const OpenMenu = lazy(() => loadMenu().then((module) => ({ default: module.OpenMenu })));

/** A menu behind a button. What draws it is fetched when the hand comes near, so that no page waits for its menus. */
export function Menu({ trigger, choices, columns = false }: MenuProps) {
  const [wanted, setWanted] = useState(false);
  if (!wanted)
    return cloneElement(trigger, { onClick: () => setWanted(true), onPointerEnter: () => void loadMenu() });
  return (
    <Suspense fallback={trigger}>
      <OpenMenu trigger={trigger} choices={choices} columns={columns} />
    </Suspense>
  );
}
