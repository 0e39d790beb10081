'use client';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { cx } from './cx';

/** A menu that opens from its trigger (any button). */
export function Menu({ trigger, children }: { trigger: ReactNode; children: ReactNode }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="z-50 min-w-52 rounded-md border border-edge bg-sheet p-1 text-sm shadow-lg"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

interface ChoiceProps {
  onSelect: () => void;
  children: ReactNode;
  alarm?: boolean;
}

export function MenuChoice({ onSelect, children, alarm }: ChoiceProps) {
  return (
    <DropdownMenu.Item
      onSelect={onSelect}
      className={cx(
        'flex min-h-9 cursor-pointer items-center gap-2 rounded px-2.5 outline-none data-highlighted:bg-well',
        alarm && 'text-alarm',
      )}
    >
      {children}
    </DropdownMenu.Item>
  );
}
