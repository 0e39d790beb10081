import type { SelectHTMLAttributes } from 'react';
import { cx } from './cx';

interface ChoiceProps<V extends string> extends Omit<
  SelectHTMLAttributes<HTMLSelectElement>,
  'onChange' | 'value'
> {
  label: string;
  value: V;
  onChange: (value: V) => void;
  options: readonly { readonly value: V; readonly label: string }[];
}

/** A platform select: the one list that every phone, screen reader and wet thumb already knows. */
export function Choice<V extends string>({
  label,
  value,
  onChange,
  options,
  className,
  ...rest
}: ChoiceProps<V>) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => {
        const option = options.find((each) => each.value === event.currentTarget.value);
        if (option) onChange(option.value);
      }}
      className={cx('choice', className)}
      {...rest}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value} className="bg-surface text-ink">
          {option.label}
        </option>
      ))}
    </select>
  );
}
