'use client';
import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';
import { cx } from './cx';

interface SegmentedProps<V extends string> {
  label: string;
  value: V;
  onChange: (value: V) => void;
  options: readonly { readonly value: V; readonly label: ReactNode; readonly name?: string }[];
  size?: 'table' | 'bench';
  className?: string;
  clearable?: boolean;
}

/** One of a few, all in sight. */
export function Segmented<V extends string>({
  label,
  value,
  onChange,
  options,
  size = 'table',
  className,
  clearable = false,
}: SegmentedProps<V>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        const option = options.find((each) => each.value === next);
        // pressing the chosen one again lets go of it only where nothing chosen is an answer too
        if (option) onChange(option.value);
        else if (clearable) onChange('' as V);
      }}
      className={cx('segmented', className)}
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          aria-label={option.name}
          className={cx(
            'flex flex-1 items-center justify-center rounded px-3 font-semibold whitespace-nowrap text-soft data-[state=on]:bg-ink data-[state=on]:text-surface',
            size === 'bench' ? 'min-h-12 text-lg' : 'min-h-8 text-sm',
          )}
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
