'use client';
import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import { useState } from 'react';
import { cx } from './cx';
import { IconButton } from './Button';
import type { DialogProps } from './dialogProps';
import { words } from '@/wording/screens/ui/OpenDialog';

/** What opened it. An item of a menu goes away with its menu: then it is the menu's own button. */
function opener(): HTMLElement | null {
  const focused = document.activeElement;
  const menu = focused?.closest('[role="menu"]');
  const button = menu && document.getElementById(menu.getAttribute('aria-labelledby') ?? '');
  return button ?? (focused instanceof HTMLElement ? focused : null);
}

/** The sheet itself. Closed by any way, it gives the focus back to what opened it. */
export function OpenDialog({ onClose, ...sheet }: DialogProps) {
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[#000]/55" />
        <DialogSheet {...sheet} />
      </Radix.Portal>
    </Radix.Root>
  );
}

function DialogSheet({ title, hint, children, wide }: Omit<DialogProps, 'onClose'>) {
  // asked while it is being drawn: a field inside may take the focus as soon as it is there
  const [openedBy] = useState(opener);
  return (
    <Radix.Content
      className={cx(
        'docket fixed inset-x-2 top-[6dvh] z-50 mx-auto flex max-h-[88dvh] flex-col overflow-hidden rounded-b-lg',
        wide ? 'max-w-3xl' : 'max-w-xl',
      )}
      onCloseAutoFocus={(event) => {
        // Radix knows only a trigger of its own, and ours are opened by whatever the page likes
        event.preventDefault();
        // a key may have opened the next one already: taking the focus out of that would close it again
        if (document.activeElement === document.body && openedBy?.isConnected) openedBy.focus();
      }}
      {...(hint ? {} : { 'aria-describedby': undefined })}
    >
      <div className="flex items-start justify-between gap-3 px-5 pt-5 pb-2">
        <div>
          <Radix.Title className="text-xl">{title}</Radix.Title>
          {hint && <Radix.Description className="mt-1 text-sm text-soft">{hint}</Radix.Description>}
        </div>
        <Radix.Close asChild>
          <IconButton label={words.close}>
            <X size={20} aria-hidden />
          </IconButton>
        </Radix.Close>
      </div>
      <div className="overflow-y-auto px-5 pt-1 pb-5">{children}</div>
    </Radix.Content>
  );
}
