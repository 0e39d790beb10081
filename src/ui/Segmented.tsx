'use client';
import { useId, type ReactNode } from 'react';
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

/** One of a few, all in sight: the platform's own radio buttons, so that every key and reader knows them. */
export function Segmented<V extends string>({
  label,
  value,
  onChange,
  options,
  size = 'table',
  className,
  clearable = false,
}: SegmentedProps<V>) {
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className={cx('segmented', className)}>
      {options.map((option) => (
        <label
          key={option.value}
          className={cx(
            'segment relative flex flex-1 cursor-pointer items-center justify-center rounded px-3 font-semibold whitespace-nowrap',
            size === 'bench'
              ? 'min-h-12 text-lg max-[400px]:px-2 max-[400px]:text-base max-[400px]:whitespace-normal'
              : 'min-h-8 text-sm',
          )}
        >
          <input
            type="radio"
            name={name}
            value={option.value}
            checked={option.value === value}
            aria-label={option.name}
            onChange={() => onChange(option.value)}
            // pressing the chosen one again lets go of it only where nothing chosen is an answer too
            onClick={() => clearable && option.value === value && onChange('' as V)}
            // over the whole of its label: whoever points at it, points at the button itself
            className="absolute inset-0 m-0 cursor-pointer opacity-0"
          />
          {option.label}
        </label>
      ))}
    </div>
  );
}
