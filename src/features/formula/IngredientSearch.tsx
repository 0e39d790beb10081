'use client';
import { Command } from 'cmdk';
import { Popover } from 'radix-ui';
import { useMemo, useRef, useState, type RefObject } from 'react';
import {
  isFlourBase,
  lookAlikesOf,
  searchIngredients,
  type Ingredient,
  type IngredientBook,
} from '@/core/ingredients';
import { useBook, useStoredEntries } from '../book/BookProvider';
import { ROLE_WORD } from '@/wording/words';
import { RoleDot } from './RoleDot';
import { words } from '@/wording/screens/formula/IngredientSearch';

interface IngredientSearchProps {
  beside: RefObject<HTMLButtonElement | null>;
  label: string;
  onPick: (ingredient: Ingredient) => void;
  /** It is something of the baker's own, called so. */
  onOwn: (called: string) => void;
  onClose: () => void;
}

/** With more found than this it is likely among them. */
const FEW = 6;
const OWN = ' own';

/** Is there gum in a blend already? The question behind many a crumbly or gummy loaf. */
function insideWord({ madeOf }: Ingredient, book: IngredientBook): string {
  const binders = (madeOf ?? []).flatMap(({ ingredientId }) => {
    const part = book.get(ingredientId);
    return part?.roles[0] === 'binder' ? [part.name.toLowerCase()] : [];
  });
  return binders.length > 0 ? words.holds(binders.join(', ')) : words.noBinderInIt;
}

/** Finds an ingredient by any of its names; arrows and Enter choose, Escape goes back to the button. */
export function IngredientSearch({ beside, label, onPick, onOwn, onClose }: IngredientSearchProps) {
  const [text, setText] = useState('');
  const picked = useRef(false);
  const book = useBook();
  const { away } = useStoredEntries();
  const found = useMemo(
    () => searchIngredients(book, text).filter(({ id }) => !away.has(id)),
    [away, book, text],
  );
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      {/* the button is always there while the search is open */}
      <Popover.Anchor virtualRef={beside} />
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          aria-label={label}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (!picked.current) beside.current?.focus();
          }}
          className="z-50 w-[min(24rem,calc(100vw-1rem))] rounded-md border border-edge bg-surface shadow-lg"
        >
          <Command label={label} shouldFilter={false} loop>
            <Command.Input
              value={text}
              onValueChange={setText}
              placeholder={words.typeANameRiceLinseed}
              aria-label={label}
              className="w-full border-b border-rule bg-transparent px-3 py-2.5 outline-none focus-visible:outline-none"
            />
            <Command.List className="max-h-[min(20rem,50dvh)] overflow-y-auto p-1">
              {found.length === 0 && (
                <p className="px-3 py-3 text-sm text-soft">{words.nothingByThatNameTry}</p>
              )}
              {found.map((ingredient) => (
                <Command.Item
                  key={ingredient.id}
                  value={ingredient.id}
                  onSelect={() => {
                    picked.current = true;
                    onClose();
                    onPick(ingredient);
                  }}
                  className="flex min-h-9 cursor-pointer items-center gap-2 rounded px-2 text-sm data-[selected=true]:bg-well"
                >
                  <RoleDot role={ingredient.roles[0]} />
                  <span className="min-w-0 font-medium">
                    {ingredient.name}
                    {ingredient.madeOf && isFlourBase(ingredient) && (
                      <span className="block text-xs font-normal text-soft">
                        {insideWord(ingredient, book)}
                      </span>
                    )}
                    {lookAlikesOf(ingredient.id)[0] && (
                      <span className="block text-xs font-normal text-soft">
                        {words.not(
                          lookAlikesOf(ingredient.id)
                            .map(({ otherId }) => book.get(otherId)?.name.toLowerCase())
                            .join(', '),
                        )}
                      </span>
                    )}
                  </span>
                  <span className="ml-auto text-xs text-soft">{ROLE_WORD[ingredient.roles[0]]}</span>
                </Command.Item>
              ))}
              {text.trim() !== '' && found.length < FEW && (
                <Command.Item
                  value={OWN}
                  onSelect={() => {
                    picked.current = true;
                    onClose();
                    onOwn(text.trim());
                  }}
                  className="flex min-h-9 cursor-pointer items-center rounded px-2 text-sm data-[selected=true]:bg-well"
                >
                  {words.somethingOfMyOwn(text.trim())}
                </Command.Item>
              )}
            </Command.List>
          </Command>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
