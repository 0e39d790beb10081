'use client';
import { lazy, Suspense, useRef, useState, type ReactNode } from 'react';
import type { Ingredient } from '@/core/ingredients';

interface PickerProps {
  /** What the button shows and looks like. */
  children: ReactNode;
  className: string;
  /** The button's name where its words alone do not say enough. */
  name?: string;
  /** What is being looked for, read out at the search field. */
  label: string;
  onPick: (ingredient: Ingredient) => void;
}

export const loadIngredientSearch = () => import('./IngredientSearch');
const IngredientSearch = lazy(() =>
  loadIngredientSearch().then((module) => ({ default: module.IngredientSearch })),
);

const OwnThingDialog = lazy(() =>
  import('../ownThing/OwnThingDialog').then((module) => ({ default: module.OwnThingDialog })),
);

/** A button that opens a search for an ingredient beside itself. The search is fetched when the hand comes near. */
export function IngredientPicker({ children, className, name, label, onPick }: PickerProps) {
  const button = useRef<HTMLButtonElement>(null);
  const [open, setOpen] = useState(false);
  const [own, setOwn] = useState<string | null>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={name}
        aria-haspopup="dialog"
        aria-expanded={open}
        onPointerEnter={() => void loadIngredientSearch()}
        onClick={() => setOpen(true)}
        className={className}
      >
        {children}
      </button>
      {open && (
        <Suspense>
          <IngredientSearch
            beside={button}
            label={label}
            onPick={onPick}
            onOwn={setOwn}
            onClose={() => setOpen(false)}
          />
        </Suspense>
      )}
      {own !== null && (
        <Suspense>
          <OwnThingDialog
            called={own}
            onPick={(ingredient) => {
              setOwn(null);
              onPick(ingredient);
            }}
            onClose={() => setOwn(null)}
          />
        </Suspense>
      )}
    </>
  );
}
