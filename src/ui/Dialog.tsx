'use client';
import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { cx } from './cx';
import { IconButton } from './Button';

interface DialogProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  /** One sentence under the title; read out when the dialog opens. */
  hint?: string;
  children: ReactNode;
  wide?: boolean;
}

export function Dialog({ open, onOpenChange, title, hint, children, wide }: DialogProps) {
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[#000]/55" />
        <Radix.Content
          className={cx(
            'docket fixed inset-x-2 top-[6dvh] z-50 mx-auto flex max-h-[88dvh] flex-col overflow-hidden rounded-b-lg',
            wide ? 'max-w-3xl' : 'max-w-xl',
          )}
          {...(hint ? {} : { 'aria-describedby': undefined })}
        >
          <div className="flex items-start justify-between gap-3 px-5 pt-5 pb-2">
            <div>
              <Radix.Title className="text-xl">{title}</Radix.Title>
              {hint && <Radix.Description className="mt-1 text-sm text-soft">{hint}</Radix.Description>}
            </div>
            <Radix.Close asChild>
              <IconButton label="Close">
                <X size={20} aria-hidden />
              </IconButton>
            </Radix.Close>
          </div>
          <div className="overflow-y-auto px-5 pt-1 pb-5">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
