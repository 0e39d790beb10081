'use client';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { cx } from './cx';
import type { MenuChoice } from './menuChoice';

interface OpenMenuProps {
  trigger: ReactNode;
  choices: readonly MenuChoice[];
  columns: boolean;
}

/** The menu itself, open as soon as it is there: its button was pressed to fetch it. */
export function OpenMenu({ trigger, choices, columns }: OpenMenuProps) {
  return (
    <DropdownMenu.Root modal={false} defaultOpen>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          className={cx(
            'z-50 max-h-(--radix-dropdown-menu-content-available-height) min-w-52 overflow-y-auto rounded-md border border-edge bg-surface p-1 text-sm shadow-lg',
            columns && 'grid grid-cols-2',
          )}
        >
          {choices.map(({ key, words, onSelect, alarm }) => (
            <DropdownMenu.Item
              key={key}
              onSelect={onSelect}
              className={cx(
                'flex min-h-9 cursor-pointer items-center gap-2 rounded px-2.5 outline-none data-highlighted:bg-well',
                alarm && 'text-alarm',
              )}
            >
              {words}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
